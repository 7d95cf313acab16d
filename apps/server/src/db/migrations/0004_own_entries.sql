CREATE TABLE "own_entries" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"kind" text NOT NULL,
	"entry" jsonb NOT NULL,
	"why" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "own_entries_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "own_entries_kind" CHECK ("own_entries"."kind" in ('conditions', 'signs', 'hosts'))
);
--> statement-breakpoint
ALTER TABLE "own_entries" ADD CONSTRAINT "own_entries_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "own_entries_once" ON "own_entries" USING btree ("garden_id","kind",("entry" ->> 'id')) WHERE "own_entries"."ended_on" is null;