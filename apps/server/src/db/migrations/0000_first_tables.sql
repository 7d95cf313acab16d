CREATE TABLE "cases" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"planting_id" uuid NOT NULL,
	"opened_on" date NOT NULL,
	"words" text NOT NULL,
	"findings" jsonb NOT NULL,
	"onset" text,
	"pattern" text,
	"stage" text,
	"hidden" text,
	"helpers_seen" boolean NOT NULL,
	"diagnoses" jsonb NOT NULL,
	"closed_on" date,
	"outcome" text,
	"note" text NOT NULL,
	CONSTRAINT "cases_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "cases_closed" CHECK ("cases"."closed_on" >= "cases"."opened_on"),
	CONSTRAINT "cases_outcome" CHECK (("cases"."closed_on" is null) = ("cases"."outcome" is null))
);
--> statement-breakpoint
CREATE TABLE "changes" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"sequence" bigserial NOT NULL,
	"subject" text NOT NULL,
	"record_id" uuid NOT NULL,
	"before" jsonb,
	"after" jsonb,
	"undoes" uuid,
	"person_id" uuid NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	CONSTRAINT "changes_garden_id_id_pk" PRIMARY KEY("garden_id","id")
);
--> statement-breakpoint
CREATE TABLE "gardens" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"latitude" double precision,
	"longitude" double precision,
	"time_zone" text NOT NULL,
	"units" text NOT NULL,
	"stance" text NOT NULL,
	"region" text NOT NULL,
	"fixed_now" timestamp with time zone,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "gardens_latitude" CHECK ("gardens"."latitude" between -90 and 90),
	CONSTRAINT "gardens_longitude" CHECK ("gardens"."longitude" between -180 and 180),
	CONSTRAINT "gardens_units" CHECK ("gardens"."units" in ('metric', 'us')),
	CONSTRAINT "gardens_stance" CHECK ("gardens"."stance" in ('hands', 'organic', 'softest', 'protect'))
);
--> statement-breakpoint
CREATE TABLE "members" (
	"garden_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"role" text NOT NULL,
	CONSTRAINT "members_garden_id_person_id_pk" PRIMARY KEY("garden_id","person_id"),
	CONSTRAINT "members_role" CHECK ("members"."role" in ('owner', 'member', 'viewer'))
);
--> statement-breakpoint
CREATE TABLE "places" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"setting" text NOT NULL,
	"area_m2" double precision,
	"note" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "places_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "places_area" CHECK ("places"."area_m2" > 0)
);
--> statement-breakpoint
CREATE TABLE "plantings" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"place_id" uuid NOT NULL,
	"host" text NOT NULL,
	"cultivar" text NOT NULL,
	"plants" integer NOT NULL,
	"planted_on" date NOT NULL,
	"setting" text NOT NULL,
	"in_flower" boolean NOT NULL,
	"eaten" boolean NOT NULL,
	"next_harvest_on" date,
	"note" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "plantings_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "plantings_plants" CHECK ("plantings"."plants" >= 1),
	CONSTRAINT "plantings_ended" CHECK ("plantings"."ended_on" >= "plantings"."planted_on")
);
--> statement-breakpoint
CREATE TABLE "applications" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid,
	"planting_id" uuid NOT NULL,
	"option" text NOT NULL,
	"applied_at" timestamp with time zone NOT NULL,
	"plants" integer NOT NULL,
	"product_amount" double precision,
	"product_unit" text,
	"water_l" double precision,
	"covered_part" text NOT NULL,
	"applied_by" text NOT NULL,
	"temperature_c" double precision,
	"wind_kmh" double precision,
	"sky" text NOT NULL,
	"why" text NOT NULL,
	"re_entry_at" timestamp with time zone NOT NULL,
	"harvest_safe_on" date,
	"repeat_from" date,
	CONSTRAINT "applications_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "applications_plants" CHECK ("applications"."plants" >= 1),
	CONSTRAINT "applications_amounts" CHECK ("applications"."product_amount" >= 0 and "applications"."water_l" >= 0)
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"password_hash" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"key" varchar(255) PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"key_hash" text PRIMARY KEY NOT NULL,
	"data" jsonb NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "decisions" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid NOT NULL,
	"option" text NOT NULL,
	"verdict" text NOT NULL,
	"decided_on" date NOT NULL,
	"look_again_on" date NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "decisions_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "decisions_verdict" CHECK ("decisions"."verdict" in ('fits', 'care'))
);
--> statement-breakpoint
CREATE TABLE "looks" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid NOT NULL,
	"planting_id" uuid NOT NULL,
	"looked_on" date NOT NULL,
	"severity" double precision NOT NULL,
	"count" integer,
	"new_growth" text NOT NULL,
	"next_look_on" date,
	"note" text NOT NULL,
	CONSTRAINT "looks_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "looks_severity" CHECK ("looks"."severity" between 0 and 100),
	CONSTRAINT "looks_count" CHECK ("looks"."count" >= 0)
);
--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "places" ADD CONSTRAINT "places_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plantings" ADD CONSTRAINT "plantings_place" FOREIGN KEY ("garden_id","place_id") REFERENCES "public"."places"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cases_by_planting" ON "cases" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE INDEX "changes_order" ON "changes" USING btree ("garden_id","sequence");--> statement-breakpoint
CREATE INDEX "members_person" ON "members" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "applications_by_planting" ON "applications" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE INDEX "sessions_expires_at" ON "sessions" USING btree ("expires_at");--> statement-breakpoint
CREATE INDEX "looks_by_case" ON "looks" USING btree ("garden_id","case_id");