ALTER TABLE "cases" ADD COLUMN "photos" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "assumed" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
UPDATE "changes" SET "before" = jsonb_set("before", '{photos}', '[]') WHERE "subject" = 'cases' AND jsonb_typeof("before") = 'object' AND NOT "before" ? 'photos';--> statement-breakpoint
UPDATE "changes" SET "after" = jsonb_set("after", '{photos}', '[]') WHERE "subject" = 'cases' AND jsonb_typeof("after") = 'object' AND NOT "after" ? 'photos';--> statement-breakpoint
UPDATE "changes" SET "before" = jsonb_set("before", '{assumed}', '[]') WHERE "subject" = 'plantings' AND jsonb_typeof("before") = 'object' AND NOT "before" ? 'assumed';--> statement-breakpoint
UPDATE "changes" SET "after" = jsonb_set("after", '{assumed}', '[]') WHERE "subject" = 'plantings' AND jsonb_typeof("after") = 'object' AND NOT "after" ? 'assumed';
