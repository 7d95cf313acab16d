CREATE TABLE "clinic_reports" (
	"garden_id" uuid NOT NULL,
	"sample_id" uuid NOT NULL,
	"reference" text NOT NULL,
	"receipt" text NOT NULL,
	"status" text NOT NULL,
	"since" date,
	"results" jsonb NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"failed_at" timestamp with time zone,
	CONSTRAINT "clinic_reports_garden_id_sample_id_pk" PRIMARY KEY("garden_id","sample_id")
);
--> statement-breakpoint
CREATE TABLE "clinic_samples" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"case_id" uuid NOT NULL,
	"clinic" text,
	"clinic_name" text NOT NULL,
	"material" text NOT NULL,
	"test_for" jsonb NOT NULL,
	"registered_on" date NOT NULL,
	"packed" jsonb NOT NULL,
	"sent_on" date,
	"results" jsonb NOT NULL,
	"reported_on" date,
	"note" text NOT NULL,
	CONSTRAINT "clinic_samples_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "clinic_samples_sent" CHECK ("clinic_samples"."sent_on" >= "clinic_samples"."registered_on"),
	CONSTRAINT "clinic_samples_reported" CHECK ("clinic_samples"."reported_on" >= "clinic_samples"."registered_on")
);
--> statement-breakpoint
ALTER TABLE "clinic_reports" ADD CONSTRAINT "clinic_reports_sample" FOREIGN KEY ("garden_id","sample_id") REFERENCES "public"."clinic_samples"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clinic_samples" ADD CONSTRAINT "clinic_samples_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clinic_samples_by_case" ON "clinic_samples" USING btree ("garden_id","case_id");