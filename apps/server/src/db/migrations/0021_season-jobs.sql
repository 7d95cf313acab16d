CREATE TABLE "season_jobs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"question" json NOT NULL,
	"state" text NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"result" json,
	"error" text,
	"begun" integer DEFAULT 0 NOT NULL,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL,
	"held_at" timestamp with time zone
);
--> statement-breakpoint
CREATE INDEX "season_jobs_in_order" ON "season_jobs" USING btree ("state","added_at");