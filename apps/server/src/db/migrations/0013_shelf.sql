CREATE TABLE "label_card_lines" (
	"garden_id" uuid NOT NULL,
	"card_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"host" text,
	"target" text,
	"rate" jsonb,
	"water_l_per_m2" double precision,
	"pre_harvest_days" integer,
	"repeat_days" integer[],
	"season_max" integer,
	"settings" text[] NOT NULL,
	"stages" text NOT NULL,
	CONSTRAINT "label_card_lines_garden_id_card_id_ordinal_pk" PRIMARY KEY("garden_id","card_id","ordinal"),
	CONSTRAINT "label_card_lines_season_max" CHECK ("label_card_lines"."season_max" >= 1)
);
--> statement-breakpoint
CREATE TABLE "label_cards" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"product_id" uuid NOT NULL,
	"source" text NOT NULL,
	"read_on" date NOT NULL,
	"valid_until" date,
	"sold_to" text NOT NULL,
	"re_entry_hours" integer NOT NULL,
	"rain_fast_hours" double precision,
	"temperature_c" jsonb,
	"max_wind_kmh" double precision,
	"buffer_m" double precision,
	"bees" text NOT NULL,
	"days_before_flower" integer NOT NULL,
	"apart_from" jsonb NOT NULL,
	"protect" text[] NOT NULL,
	"photos" uuid[] NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "label_cards_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "label_cards_source" CHECK ("label_cards"."source" in ('copied', 'register'))
);
--> statement-breakpoint
CREATE TABLE "products" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"name" text NOT NULL,
	"intervention" text NOT NULL,
	"strength" jsonb,
	"form" text NOT NULL,
	"measured_in" text NOT NULL,
	"pack_amount" double precision,
	"density_g_per_ml" double precision,
	"registration" text NOT NULL,
	"barcode" text NOT NULL,
	"sold_to" text NOT NULL,
	"batch" text NOT NULL,
	"bought_on" date,
	"opened_on" date,
	"best_before" date,
	"price" double precision,
	"kept_in" text NOT NULL,
	"low_at" double precision,
	"note" text NOT NULL,
	"ended_on" date,
	CONSTRAINT "products_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "products_measured_in" CHECK ("products"."measured_in" in ('ml', 'g', 'pieces')),
	CONSTRAINT "products_pack_amount" CHECK ("products"."pack_amount" > 0),
	CONSTRAINT "products_price" CHECK ("products"."price" >= 0)
);
--> statement-breakpoint
CREATE TABLE "stock_moves" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"product_id" uuid NOT NULL,
	"moved_at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"amount" double precision NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "stock_moves_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "stock_moves_kind" CHECK ("stock_moves"."kind" in ('bought', 'counted', 'spilled', 'given-away', 'disposed')),
	CONSTRAINT "stock_moves_amount" CHECK ("stock_moves"."amount" >= 0)
);
--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "product_id" uuid;--> statement-breakpoint
ALTER TABLE "label_card_lines" ADD CONSTRAINT "label_card_lines_card" FOREIGN KEY ("garden_id","card_id") REFERENCES "public"."label_cards"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "label_cards" ADD CONSTRAINT "label_cards_product" FOREIGN KEY ("garden_id","product_id") REFERENCES "public"."products"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "products" ADD CONSTRAINT "products_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_product" FOREIGN KEY ("garden_id","product_id") REFERENCES "public"."products"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "label_cards_once" ON "label_cards" USING btree ("garden_id","product_id","source");--> statement-breakpoint
CREATE INDEX "stock_moves_by_product" ON "stock_moves" USING btree ("garden_id","product_id");--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_product_used" FOREIGN KEY ("garden_id","product_id") REFERENCES "public"."products"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "applications_by_product" ON "applications" USING btree ("garden_id","product_id");--> statement-breakpoint
UPDATE "changes" SET "before" = jsonb_set("before", '{productId}', 'null') WHERE "subject" = 'applications' AND jsonb_typeof("before") = 'object' AND NOT "before" ? 'productId';--> statement-breakpoint
UPDATE "changes" SET "after" = jsonb_set("after", '{productId}', 'null') WHERE "subject" = 'applications' AND jsonb_typeof("after") = 'object' AND NOT "after" ? 'productId';
