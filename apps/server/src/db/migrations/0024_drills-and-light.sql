CREATE TABLE "drills" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"held_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"answers" jsonb NOT NULL,
	CONSTRAINT "drills_garden_id_id_pk" PRIMARY KEY("garden_id","id")
);
--> statement-breakpoint
ALTER TABLE "places" ADD COLUMN "light" text;--> statement-breakpoint
ALTER TABLE "leaf_measurements" ADD COLUMN "photos" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "drills" ADD CONSTRAINT "drills_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "drills_by_time" ON "drills" USING btree ("garden_id","held_at");