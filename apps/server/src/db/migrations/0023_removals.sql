CREATE TABLE "removals" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid NOT NULL,
	"planting_id" uuid NOT NULL,
	"started_on" date NOT NULL,
	"plants" integer NOT NULL,
	"reported" text NOT NULL,
	"done" jsonb NOT NULL,
	"photos" jsonb NOT NULL,
	"ended_on" date,
	"note" text NOT NULL,
	CONSTRAINT "removals_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "removals_plants" CHECK ("removals"."plants" > 0)
);
--> statement-breakpoint
ALTER TABLE "removals" ADD CONSTRAINT "removals_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "removals" ADD CONSTRAINT "removals_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "removals_by_case" ON "removals" USING btree ("garden_id","case_id");