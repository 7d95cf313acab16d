CREATE TABLE "chores" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"place_id" uuid NOT NULL,
	"task" text NOT NULL,
	"done_on" date NOT NULL,
	"outcome" text NOT NULL,
	"amount" double precision,
	"note" text NOT NULL,
	CONSTRAINT "chores_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "chores_amount" CHECK ("chores"."amount" >= 0)
);
--> statement-breakpoint
CREATE TABLE "gaugings" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"planting_id" uuid,
	"measured_at" timestamp with time zone NOT NULL,
	"eyed_percent" double precision,
	"eaten_percent" double precision NOT NULL,
	"discoloured_percent" double precision NOT NULL,
	"uncertainty" double precision NOT NULL,
	"spots" integer NOT NULL,
	"area_mm2" double precision,
	"by" text NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "gaugings_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "gaugings_percent" CHECK ("gaugings"."eaten_percent" between 0 and 100 and "gaugings"."discoloured_percent" between 0 and 100)
);
--> statement-breakpoint
CREATE TABLE "rounds" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"by" text NOT NULL,
	"walk" jsonb NOT NULL,
	"clock_mended" boolean NOT NULL,
	CONSTRAINT "rounds_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "rounds_ended" CHECK ("rounds"."ended_at" >= "rounds"."started_at")
);
--> statement-breakpoint
CREATE TABLE "stops" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"round_id" uuid NOT NULL,
	"planting_id" uuid NOT NULL,
	"looked_at" timestamp with time zone NOT NULL,
	"found" boolean NOT NULL,
	"signs" jsonb NOT NULL,
	"target" text,
	"measure" text,
	"sample" jsonb NOT NULL,
	"decision" text,
	"severity" double precision,
	"gauged" double precision,
	"damage" text,
	"helpers" integer NOT NULL,
	"droppings" boolean NOT NULL,
	"eggs" boolean NOT NULL,
	"case_id" uuid,
	"photos" jsonb NOT NULL,
	"note" text NOT NULL,
	"clock_mended" boolean NOT NULL,
	CONSTRAINT "stops_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "stops_percent" CHECK ("stops"."severity" between 0 and 100 and "stops"."gauged" between 0 and 100),
	CONSTRAINT "stops_helpers" CHECK ("stops"."helpers" >= 0)
);
--> statement-breakpoint
CREATE TABLE "thresholds" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"condition" text NOT NULL,
	"measure" text NOT NULL,
	"act" double precision NOT NULL,
	"why" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "thresholds_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "thresholds_act" CHECK ("thresholds"."act" > 0)
);
--> statement-breakpoint
CREATE TABLE "catches" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"trap_id" uuid NOT NULL,
	"checked_on" date NOT NULL,
	"caught" jsonb NOT NULL,
	"emptied" boolean NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "catches_garden_id_id_pk" PRIMARY KEY("garden_id","id")
);
--> statement-breakpoint
CREATE TABLE "traps" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"place_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"target" text,
	"spots" jsonb NOT NULL,
	"weekly_level" double precision,
	"note" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "traps_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "traps_weekly_level" CHECK ("traps"."weekly_level" > 0)
);
--> statement-breakpoint
ALTER TABLE "places" ADD COLUMN "shape" jsonb;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "rows" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "shape" jsonb;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "quarantine" jsonb;--> statement-breakpoint
ALTER TABLE "chores" ADD CONSTRAINT "chores_place" FOREIGN KEY ("garden_id","place_id") REFERENCES "public"."places"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gaugings" ADD CONSTRAINT "gaugings_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gaugings" ADD CONSTRAINT "gaugings_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rounds" ADD CONSTRAINT "rounds_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stops" ADD CONSTRAINT "stops_round" FOREIGN KEY ("garden_id","round_id") REFERENCES "public"."rounds"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stops" ADD CONSTRAINT "stops_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stops" ADD CONSTRAINT "stops_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "thresholds" ADD CONSTRAINT "thresholds_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "catches" ADD CONSTRAINT "catches_trap" FOREIGN KEY ("garden_id","trap_id") REFERENCES "public"."traps"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "traps" ADD CONSTRAINT "traps_place" FOREIGN KEY ("garden_id","place_id") REFERENCES "public"."places"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "chores_by_place" ON "chores" USING btree ("garden_id","place_id");--> statement-breakpoint
CREATE INDEX "stops_by_planting" ON "stops" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE INDEX "catches_by_trap" ON "catches" USING btree ("garden_id","trap_id");--> statement-breakpoint
ALTER TABLE "plantings" ADD CONSTRAINT "plantings_rows" CHECK ("plantings"."rows" between 1 and "plantings"."plants");