CREATE TABLE "harvests" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"planting_id" uuid NOT NULL,
	"picked_on" date NOT NULL,
	"kg" double precision,
	"pieces" integer,
	"waste_kg" double precision,
	"picked_by" text NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "harvests_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "harvests_amounts" CHECK ("harvests"."kg" >= 0 and "harvests"."waste_kg" >= 0 and "harvests"."pieces" >= 0)
);
--> statement-breakpoint
CREATE TABLE "lessons" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"written_on" date NOT NULL,
	"text" text NOT NULL,
	"condition" text,
	"host" text,
	"due_on" date,
	"done_on" date,
	CONSTRAINT "lessons_garden_id_id_pk" PRIMARY KEY("garden_id","id")
);
--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "parts" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "part_id" uuid;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "plant" integer;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "scale" text DEFAULT 'plant' NOT NULL;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "counts" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "counted_on" text DEFAULT 'plant' NOT NULL;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "plants_looked" integer;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "plants_marked" integer;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "flowers" integer;--> statement-breakpoint
ALTER TABLE "assessments" ADD COLUMN "photos" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "harvests" ADD CONSTRAINT "harvests_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lessons" ADD CONSTRAINT "lessons_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "harvests_by_day" ON "harvests" USING btree ("garden_id","picked_on");--> statement-breakpoint
ALTER TABLE "assessments" ADD CONSTRAINT "assessments_marked" CHECK ("assessments"."plants_marked" <= "assessments"."plants_looked");