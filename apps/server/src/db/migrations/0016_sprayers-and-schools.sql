CREATE TABLE "sprayers" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"name" text NOT NULL,
	"holds_l" double precision NOT NULL,
	"new_flow_l_per_min" double precision,
	"calibrations" jsonb NOT NULL,
	"ended_on" date,
	CONSTRAINT "sprayers_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "sprayers_holds" CHECK ("sprayers"."holds_l" > 0)
);
--> statement-breakpoint
CREATE TABLE "test_sprays" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"planting_id" uuid NOT NULL,
	"case_id" uuid,
	"intervention" text NOT NULL,
	"product_id" uuid,
	"sprayed_on" date NOT NULL,
	"look_on" date NOT NULL,
	"outcome" text NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "test_sprays_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "test_sprays_look" CHECK ("test_sprays"."look_on" > "test_sprays"."sprayed_on"),
	CONSTRAINT "test_sprays_outcome" CHECK ("test_sprays"."outcome" in ('waiting', 'clean', 'marked'))
);
--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "stance" text;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "schools" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "schools" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "sprayers" ADD CONSTRAINT "sprayers_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_sprays" ADD CONSTRAINT "test_sprays_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_sprays" ADD CONSTRAINT "test_sprays_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_sprays" ADD CONSTRAINT "test_sprays_product" FOREIGN KEY ("garden_id","product_id") REFERENCES "public"."products"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "test_sprays_by_planting" ON "test_sprays" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE INDEX "test_sprays_by_day" ON "test_sprays" USING btree ("garden_id","look_on");--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_stance" CHECK ("cases"."stance" in ('hands', 'organic', 'softest', 'protect'));--> statement-breakpoint
UPDATE "changes" SET "before" = "before" || '{"stance": null, "schools": []}' WHERE "subject" = 'cases' AND jsonb_typeof("before") = 'object' AND NOT "before" ? 'schools';--> statement-breakpoint
UPDATE "changes" SET "after" = "after" || '{"stance": null, "schools": []}' WHERE "subject" = 'cases' AND jsonb_typeof("after") = 'object' AND NOT "after" ? 'schools';
