ALTER TABLE "cases" ADD COLUMN "photos" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "assumed" jsonb DEFAULT '[]'::jsonb NOT NULL;