CREATE TABLE "forecasts" (
	"garden_id" uuid PRIMARY KEY NOT NULL,
	"issued_at" timestamp with time zone NOT NULL,
	"hours" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "weather_hours" (
	"garden_id" uuid NOT NULL,
	"source_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"temperature_c" real,
	"humidity_percent" real,
	"rain_mm" real,
	"wind_kmh" real,
	"leaf_wet_minutes" real,
	CONSTRAINT "weather_hours_garden_id_at_source_id_pk" PRIMARY KEY("garden_id","at","source_id"),
	CONSTRAINT "weather_hours_rain" CHECK ("weather_hours"."rain_mm" >= 0),
	CONSTRAINT "weather_hours_humidity" CHECK ("weather_hours"."humidity_percent" between 0 and 100)
);
--> statement-breakpoint
CREATE TABLE "weather_sources" (
	"garden_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"station" text,
	"simulated" boolean DEFAULT false NOT NULL,
	"kept" boolean DEFAULT true NOT NULL,
	"added_at" timestamp with time zone NOT NULL,
	"read_at" timestamp with time zone,
	"failed_at" timestamp with time zone,
	CONSTRAINT "weather_sources_garden_id_id_pk" PRIMARY KEY("garden_id","id"),
	CONSTRAINT "weather_sources_station" UNIQUE("garden_id","station"),
	CONSTRAINT "weather_sources_kind" CHECK (("weather_sources"."kind" = 'station') = ("weather_sources"."station" is not null))
);
--> statement-breakpoint
ALTER TABLE "gardens" ADD COLUMN "weather_station" text;--> statement-breakpoint
ALTER TABLE "traps" ADD COLUMN "rests" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "forecasts" ADD CONSTRAINT "forecasts_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_hours" ADD CONSTRAINT "weather_hours_source" FOREIGN KEY ("garden_id","source_id") REFERENCES "public"."weather_sources"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_sources" ADD CONSTRAINT "weather_sources_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;