CREATE TABLE "ground_events" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"place_id" uuid NOT NULL,
	"happened_on" date NOT NULL,
	"kind" text NOT NULL,
	"condition" text,
	"person" text NOT NULL,
	"things" text[] NOT NULL,
	"disinfectant" text NOT NULL,
	"minutes" integer,
	"note" text NOT NULL,
	CONSTRAINT "ground_events_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "ground_events_kind" CHECK ("ground_events"."kind" in ('entered', 'cleaned', 'tested-clean', 'tested-there')),
	CONSTRAINT "ground_events_minutes" CHECK ("ground_events"."minutes" >= 0)
);
--> statement-breakpoint
ALTER TABLE "ground_events" ADD CONSTRAINT "ground_events_place" FOREIGN KEY ("garden_id","place_id") REFERENCES "public"."places"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "ground_events_by_day" ON "ground_events" USING btree ("garden_id","happened_on");