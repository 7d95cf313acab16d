CREATE TABLE "weather_day_sums" (
	"garden_id" uuid NOT NULL,
	"day" date NOT NULL,
	"time_zone" text NOT NULL,
	"min_c" real,
	"max_c" real,
	"rain_mm" real,
	"wet_hours" real,
	"max_wind_kmh" real,
	"missing" integer NOT NULL,
	CONSTRAINT "weather_day_sums_garden_id_day_pk" PRIMARY KEY("garden_id","day")
);
--> statement-breakpoint
ALTER TABLE "weather_day_sums" ADD CONSTRAINT "weather_day_sums_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;