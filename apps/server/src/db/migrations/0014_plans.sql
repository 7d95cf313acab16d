CREATE TABLE "planned_applications" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"plan_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"intervention" text NOT NULL,
	"product_id" uuid,
	"planned_for" date NOT NULL,
	"slot" text NOT NULL,
	"held" boolean NOT NULL,
	"person" text NOT NULL,
	"state" text NOT NULL,
	"started_at" timestamp with time zone,
	"application_id" uuid,
	"note" text NOT NULL,
	CONSTRAINT "planned_applications_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "planned_applications_slot" CHECK ("planned_applications"."slot" in ('morning', 'evening')),
	CONSTRAINT "planned_applications_state" CHECK ("planned_applications"."state" in ('planned', 'under-way', 'done', 'not-needed')),
	CONSTRAINT "planned_applications_done" CHECK (("planned_applications"."state" = 'done') = ("planned_applications"."application_id" is not null))
);
--> statement-breakpoint
CREATE TABLE "treatment_plans" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"planting_id" uuid NOT NULL,
	"case_id" uuid,
	"against" text[] NOT NULL,
	"interventions" text[] NOT NULL,
	"starts_on" date NOT NULL,
	"rounds" integer NOT NULL,
	"between_days" integer NOT NULL,
	"ended_on" date,
	"note" text NOT NULL,
	CONSTRAINT "treatment_plans_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "treatment_plans_rounds" CHECK ("treatment_plans"."rounds" between 1 and 8),
	CONSTRAINT "treatment_plans_between" CHECK ("treatment_plans"."between_days" >= 0)
);
--> statement-breakpoint
CREATE TABLE "work_times" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"person" text NOT NULL,
	"minutes_per_day" integer NOT NULL,
	"exceptions" jsonb NOT NULL,
	"ended_on" date,
	CONSTRAINT "work_times_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "work_times_minutes" CHECK ("work_times"."minutes_per_day" between 0 and 1440)
);
--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "plan_id" uuid;--> statement-breakpoint
ALTER TABLE "planned_applications" ADD CONSTRAINT "planned_applications_plan" FOREIGN KEY ("garden_id","plan_id") REFERENCES "public"."treatment_plans"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_applications" ADD CONSTRAINT "planned_applications_product" FOREIGN KEY ("garden_id","product_id") REFERENCES "public"."products"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_applications" ADD CONSTRAINT "planned_applications_application" FOREIGN KEY ("garden_id","application_id") REFERENCES "public"."applications"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "treatment_plans" ADD CONSTRAINT "treatment_plans_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "treatment_plans" ADD CONSTRAINT "treatment_plans_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "work_times" ADD CONSTRAINT "work_times_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "planned_applications_once" ON "planned_applications" USING btree ("garden_id","plan_id","ordinal");--> statement-breakpoint
CREATE INDEX "planned_applications_by_product" ON "planned_applications" USING btree ("garden_id","product_id");--> statement-breakpoint
CREATE INDEX "planned_applications_by_application" ON "planned_applications" USING btree ("garden_id","application_id");--> statement-breakpoint
CREATE INDEX "treatment_plans_by_case" ON "treatment_plans" USING btree ("garden_id","case_id");--> statement-breakpoint
CREATE INDEX "treatment_plans_by_planting" ON "treatment_plans" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE UNIQUE INDEX "work_times_once" ON "work_times" USING btree ("garden_id","person");--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_plan" FOREIGN KEY ("garden_id","plan_id") REFERENCES "public"."treatment_plans"("garden_id","id") ON DELETE no action ON UPDATE no action;