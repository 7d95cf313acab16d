CREATE TABLE "comments" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid NOT NULL,
	"written_at" timestamp with time zone NOT NULL,
	"text" text NOT NULL,
	"person_id" uuid,
	"by" text NOT NULL,
	CONSTRAINT "comments_garden_id_id_pk" PRIMARY KEY("garden_id","id")
);
--> statement-breakpoint
CREATE TABLE "password_resets" (
	"secret_hash" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "security_events" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"garden_id" uuid,
	"person_id" uuid,
	"by" text,
	"about" text NOT NULL,
	"address" text
);
--> statement-breakpoint
CREATE TABLE "invitations" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"secret_hash" text NOT NULL,
	"role" text NOT NULL,
	"email" text,
	"by_id" uuid,
	"made_at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ended" text,
	CONSTRAINT "invitations_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "invitations_secret_hash_unique" UNIQUE("secret_hash"),
	CONSTRAINT "invitations_role" CHECK ("invitations"."role" in ('member', 'adviser', 'viewer')),
	CONSTRAINT "invitations_ended" CHECK ("invitations"."ended" in ('accepted', 'declined', 'withdrawn'))
);
--> statement-breakpoint
CREATE TABLE "tokens" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"secret_hash" text NOT NULL,
	"name" text NOT NULL,
	"scope" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"expires_on" date,
	CONSTRAINT "tokens_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "tokens_secret_hash_unique" UNIQUE("secret_hash"),
	CONSTRAINT "tokens_scope" CHECK ("tokens"."scope" in ('read', 'write'))
);
--> statement-breakpoint
ALTER TABLE "members" DROP CONSTRAINT "members_role";--> statement-breakpoint
ALTER TABLE "changes" DROP CONSTRAINT "changes_person_id_people_id_fk";
--> statement-breakpoint
ALTER TABLE "photos" DROP CONSTRAINT "photos_person_id_people_id_fk";
--> statement-breakpoint
DROP INDEX "changes_order";--> statement-breakpoint
ALTER TABLE "changes" ALTER COLUMN "sequence" DROP DEFAULT;--> statement-breakpoint
DROP SEQUENCE IF EXISTS "changes_sequence_seq";--> statement-breakpoint
-- Each garden counts its own changes from now on, in the order in which they were made.
UPDATE "changes" SET "sequence" = counted."number" FROM (
	SELECT "garden_id", "id", row_number() OVER (PARTITION BY "garden_id" ORDER BY "sequence") AS "number" FROM "changes"
) AS counted WHERE counted."garden_id" = "changes"."garden_id" AND counted."id" = "changes"."id";--> statement-breakpoint
ALTER TABLE "changes" ALTER COLUMN "person_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ALTER COLUMN "person_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "changes" ADD COLUMN "version" integer;--> statement-breakpoint
-- Taking a record out counts as a version of its own.
UPDATE "changes" SET "version" = coalesce(("after" ->> 'version')::integer, ("before" ->> 'version')::integer + 1, 1);--> statement-breakpoint
ALTER TABLE "changes" ALTER COLUMN "version" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "last_sequence" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "record_count" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "photo_count" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "photo_bytes" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE "gardens" SET
	"last_sequence" = coalesce((SELECT max("sequence") FROM "changes" WHERE "garden_id" = "gardens"."id"), 0),
	"record_count" = (SELECT count(*) FROM (
		SELECT DISTINCT ON ("record_id") "after" FROM "changes" WHERE "garden_id" = "gardens"."id" ORDER BY "record_id", "sequence" DESC
	) AS newest WHERE newest."after" IS NOT NULL),
	"photo_count" = (SELECT count(*) FROM "photos" WHERE "garden_id" = "gardens"."id"),
	"photo_bytes" = coalesce((SELECT sum(octet_length("image")) FROM "photos" WHERE "garden_id" = "gardens"."id"), 0);--> statement-breakpoint
ALTER TABLE "members" ADD COLUMN "since" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
UPDATE "members" SET "since" = "gardens"."created_at" FROM "gardens" WHERE "gardens"."id" = "members"."garden_id";--> statement-breakpoint
-- Sessions of people who are signed in go on; those of nobody had no use.
DELETE FROM "sessions" WHERE NOT EXISTS (SELECT FROM "people" WHERE "people"."id"::text = "sessions"."data" ->> 'person');--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "id" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "device" text DEFAULT 'a device signed in before' NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "begun_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "seen_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
UPDATE "sessions" SET "person_id" = ("data" ->> 'person')::uuid, "data" = jsonb_build_object('id', "id", 'person', "data" ->> 'person',
	'begunAt', to_jsonb("begun_at"), 'seenAt', to_jsonb("seen_at"), 'device', "device") || jsonb_strip_nulls(jsonb_build_object('_expire', "data" -> '_expire', '_maxAge', "data" -> '_maxAge'));--> statement-breakpoint
ALTER TABLE "sessions" ALTER COLUMN "person_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ALTER COLUMN "id" DROP DEFAULT, ALTER COLUMN "device" DROP DEFAULT, ALTER COLUMN "begun_at" DROP DEFAULT, ALTER COLUMN "seen_at" DROP DEFAULT;--> statement-breakpoint
-- Keys of limits are hashes from now on.
DELETE FROM "rate_limits";--> statement-breakpoint
ALTER TABLE "comments" ADD CONSTRAINT "comments_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comments" ADD CONSTRAINT "comments_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "password_resets" ADD CONSTRAINT "password_resets_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "security_events" ADD CONSTRAINT "security_events_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "security_events" ADD CONSTRAINT "security_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_by_id_people_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tokens" ADD CONSTRAINT "tokens_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tokens" ADD CONSTRAINT "tokens_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "comments_by_case" ON "comments" USING btree ("garden_id","case_id");--> statement-breakpoint
CREATE INDEX "password_resets_person" ON "password_resets" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "security_events_garden" ON "security_events" USING btree ("garden_id","id");--> statement-breakpoint
CREATE INDEX "security_events_person" ON "security_events" USING btree ("person_id","id");--> statement-breakpoint
CREATE INDEX "security_events_at" ON "security_events" USING btree ("at");--> statement-breakpoint
CREATE INDEX "tokens_person" ON "tokens" USING btree ("person_id");--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "changes_of_record" ON "changes" USING btree ("garden_id","record_id","version");--> statement-breakpoint
CREATE INDEX "changes_person" ON "changes" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "sessions_person" ON "sessions" USING btree ("person_id");--> statement-breakpoint
CREATE UNIQUE INDEX "changes_order" ON "changes" USING btree ("garden_id","sequence");--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_id_unique" UNIQUE("id");--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_role" CHECK ("members"."role" in ('owner', 'member', 'adviser', 'viewer'));