ALTER TABLE "applications" ADD COLUMN "collected" integer;--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_collected" CHECK ("applications"."collected" >= 0);