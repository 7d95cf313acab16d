ALTER TABLE "people" ALTER COLUMN "email" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ALTER COLUMN "password_hash" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "visit_ends_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "people_visits" ON "people" USING btree ("visit_ends_at") WHERE "people"."visit_ends_at" is not null;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_account" CHECK (("people"."email" is null) = ("people"."visit_ends_at" is not null) and ("people"."email" is null) = ("people"."password_hash" is null));