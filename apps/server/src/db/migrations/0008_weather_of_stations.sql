CREATE TABLE "weather_stations" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"simulated" boolean NOT NULL,
	"asked_from" timestamp with time zone,
	"read_at" timestamp with time zone,
	"failed_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "station_hours" (
	"station" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"temperature_c" real,
	"humidity_percent" real,
	"rain_mm" real,
	"wind_kmh" real,
	"leaf_wet_minutes" real,
	CONSTRAINT "station_hours_station_at_pk" PRIMARY KEY("station","at"),
	CONSTRAINT "station_hours_rain" CHECK ("station_hours"."rain_mm" >= 0),
	CONSTRAINT "station_hours_humidity" CHECK ("station_hours"."humidity_percent" between 0 and 100)
);
--> statement-breakpoint
CREATE TABLE "station_forecasts" (
	"station" text NOT NULL,
	"issued_at" timestamp with time zone NOT NULL,
	"hours" jsonb NOT NULL,
	CONSTRAINT "station_forecasts_station_issued_at_pk" PRIMARY KEY("station","issued_at")
);
--> statement-breakpoint

-- What each garden had read for itself goes to the station, once for each hour; of two readings the later garden's stands.
INSERT INTO "weather_stations"
SELECT DISTINCT ON (s."station") s."station", s."name", s."simulated",
	(SELECT min(h."at") FROM "weather_hours" h JOIN "weather_sources" o ON o."garden_id" = h."garden_id" AND o."id" = h."source_id"
	WHERE o."station" = s."station"),
	s."read_at", s."failed_at"
FROM "weather_sources" s WHERE s."kind" = 'station' ORDER BY s."station", s."read_at" DESC NULLS LAST;--> statement-breakpoint
INSERT INTO "station_hours"
SELECT DISTINCT ON (s."station", h."at") s."station", h."at", h."temperature_c", h."humidity_percent", h."rain_mm", h."wind_kmh", h."leaf_wet_minutes"
FROM "weather_hours" h JOIN "weather_sources" s ON s."garden_id" = h."garden_id" AND s."id" = h."source_id"
WHERE s."kind" = 'station' ORDER BY s."station", h."at", s."read_at" DESC NULLS LAST;--> statement-breakpoint
DELETE FROM "weather_hours" USING "weather_sources" s
WHERE s."garden_id" = "weather_hours"."garden_id" AND s."id" = "weather_hours"."source_id" AND s."kind" = 'station';--> statement-breakpoint
INSERT INTO "station_forecasts"
SELECT g."weather_station", f."issued_at", f."hours" FROM "forecasts" f JOIN "gardens" g ON g."id" = f."garden_id"
WHERE EXISTS (SELECT FROM "weather_stations" w WHERE w."id" = g."weather_station")
ON CONFLICT DO NOTHING;--> statement-breakpoint
DROP TABLE "forecasts";--> statement-breakpoint

ALTER TABLE "weather_sources" ALTER COLUMN "name" DROP NOT NULL;--> statement-breakpoint
UPDATE "weather_sources" SET "name" = NULL WHERE "kind" = 'station';--> statement-breakpoint
ALTER TABLE "weather_sources" DROP COLUMN "simulated";--> statement-breakpoint
ALTER TABLE "weather_sources" DROP COLUMN "read_at";--> statement-breakpoint
ALTER TABLE "weather_sources" DROP COLUMN "failed_at";--> statement-breakpoint
ALTER TABLE "weather_sources" ADD CONSTRAINT "weather_sources_name" CHECK (("weather_sources"."kind" = 'file') = ("weather_sources"."name" is not null));--> statement-breakpoint
ALTER TABLE "station_hours" ADD CONSTRAINT "station_hours_station_weather_stations_id_fk" FOREIGN KEY ("station") REFERENCES "public"."weather_stations"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "station_forecasts" ADD CONSTRAINT "station_forecasts_station_weather_stations_id_fk" FOREIGN KEY ("station") REFERENCES "public"."weather_stations"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weather_sources" ADD CONSTRAINT "weather_sources_station_weather_stations_id_fk" FOREIGN KEY ("station") REFERENCES "public"."weather_stations"("id") ON DELETE no action ON UPDATE no action;
