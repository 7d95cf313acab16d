-- One word for one thing: tables, columns and what belongs to them.
ALTER TABLE "looks" RENAME TO "assessments";--> statement-breakpoint
ALTER TABLE "assessments" RENAME COLUMN "looked_on" TO "assessed_on";--> statement-breakpoint
ALTER TABLE "assessments" RENAME COLUMN "next_look_on" TO "next_assessment_on";--> statement-breakpoint
ALTER TABLE "assessments" RENAME CONSTRAINT "looks_garden_id_id_pk" TO "assessments_garden_id_id_pk";--> statement-breakpoint
ALTER TABLE "assessments" RENAME CONSTRAINT "looks_severity" TO "assessments_severity";--> statement-breakpoint
ALTER TABLE "assessments" RENAME CONSTRAINT "looks_count" TO "assessments_count";--> statement-breakpoint
ALTER TABLE "assessments" RENAME CONSTRAINT "looks_case" TO "assessments_case";--> statement-breakpoint
ALTER TABLE "assessments" RENAME CONSTRAINT "looks_planting" TO "assessments_planting";--> statement-breakpoint
ALTER INDEX "looks_by_case" RENAME TO "assessments_by_case";--> statement-breakpoint
ALTER TABLE "chores" RENAME TO "prevention_tasks";--> statement-breakpoint
ALTER TABLE "prevention_tasks" RENAME CONSTRAINT "chores_garden_id_id_pk" TO "prevention_tasks_garden_id_id_pk";--> statement-breakpoint
ALTER TABLE "prevention_tasks" RENAME CONSTRAINT "chores_amount" TO "prevention_tasks_amount";--> statement-breakpoint
ALTER TABLE "prevention_tasks" RENAME CONSTRAINT "chores_place" TO "prevention_tasks_place";--> statement-breakpoint
ALTER INDEX "chores_by_place" RENAME TO "prevention_tasks_by_place";--> statement-breakpoint
ALTER TABLE "gaugings" RENAME TO "leaf_measurements";--> statement-breakpoint
ALTER TABLE "leaf_measurements" RENAME CONSTRAINT "gaugings_garden_id_id_pk" TO "leaf_measurements_garden_id_id_pk";--> statement-breakpoint
ALTER TABLE "leaf_measurements" RENAME CONSTRAINT "gaugings_percent" TO "leaf_measurements_percent";--> statement-breakpoint
ALTER TABLE "leaf_measurements" RENAME CONSTRAINT "gaugings_garden_id_gardens_id_fk" TO "leaf_measurements_garden_id_gardens_id_fk";--> statement-breakpoint
ALTER TABLE "leaf_measurements" RENAME CONSTRAINT "gaugings_planting" TO "leaf_measurements_planting";--> statement-breakpoint
ALTER TABLE "rounds" RENAME TO "scouting_rounds";--> statement-breakpoint
ALTER TABLE "scouting_rounds" RENAME CONSTRAINT "rounds_garden_id_id_pk" TO "scouting_rounds_garden_id_id_pk";--> statement-breakpoint
ALTER TABLE "scouting_rounds" RENAME CONSTRAINT "rounds_ended" TO "scouting_rounds_ended";--> statement-breakpoint
ALTER TABLE "scouting_rounds" RENAME CONSTRAINT "rounds_garden_id_gardens_id_fk" TO "scouting_rounds_garden_id_gardens_id_fk";--> statement-breakpoint
ALTER TABLE "decisions" RENAME COLUMN "option" TO "intervention";--> statement-breakpoint
ALTER TABLE "decisions" RENAME COLUMN "look_again_on" TO "next_assessment_on";--> statement-breakpoint
ALTER TABLE "traps" RENAME COLUMN "rests" TO "pauses";--> statement-breakpoint

-- Each garden's season, and what a decision rested on.
ALTER TABLE "gardens" ADD COLUMN "season_start" text;--> statement-breakpoint
ALTER TABLE "gardens" ADD CONSTRAINT "gardens_season_start" CHECK ("gardens"."season_start" ~ '^(0[1-9]|1[0-2])-(0[1-9]|1[0-9]|2[0-8])$');--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "weather" jsonb;--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "reasons" jsonb DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE "decisions" ALTER COLUMN "reasons" DROP DEFAULT;--> statement-breakpoint

-- Lists that are asked by themselves become rows.
CREATE TABLE "case_diagnoses" (
	"garden_id" uuid NOT NULL,
	"case_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"rank" integer NOT NULL,
	"diagnosed_on" date NOT NULL,
	"condition" text NOT NULL,
	"why" text NOT NULL,
	CONSTRAINT "case_diagnoses_garden_id_case_id_ordinal_rank_pk" PRIMARY KEY("garden_id","case_id","ordinal","rank")
);--> statement-breakpoint
INSERT INTO "case_diagnoses"
SELECT "cases"."garden_id", "cases"."id", d.n - 1, c.n - 1, (d.value ->> 'on')::date, c.value, d.value ->> 'why'
FROM "cases",
	jsonb_array_elements("cases"."diagnoses") WITH ORDINALITY AS d(value, n),
	jsonb_array_elements_text(d.value -> 'conditions') WITH ORDINALITY AS c(value, n);--> statement-breakpoint
ALTER TABLE "cases" DROP COLUMN "diagnoses";--> statement-breakpoint
CREATE TABLE "stop_signs" (
	"garden_id" uuid NOT NULL,
	"stop_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"sign" text NOT NULL,
	CONSTRAINT "stop_signs_garden_id_stop_id_sign_pk" PRIMARY KEY("garden_id","stop_id","sign")
);--> statement-breakpoint
INSERT INTO "stop_signs"
SELECT "stops"."garden_id", "stops"."id", min(s.n) - 1, s.value
FROM "stops", jsonb_array_elements_text("stops"."signs") WITH ORDINALITY AS s(value, n)
GROUP BY "stops"."garden_id", "stops"."id", s.value;--> statement-breakpoint
ALTER TABLE "stops" DROP COLUMN "signs";--> statement-breakpoint

-- What happened to a planting. That it is in flower was noted with its newest change.
CREATE TABLE "planting_events" (
	"garden_id" uuid NOT NULL,
	"planting_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"kind" text NOT NULL,
	"happened_on" date NOT NULL,
	"until" date,
	"place_id" uuid,
	"setting" text,
	"stage" text,
	CONSTRAINT "planting_events_garden_id_planting_id_ordinal_pk" PRIMARY KEY("garden_id","planting_id","ordinal"),
	CONSTRAINT "planting_events_kind" CHECK ("planting_events"."kind" in ('moved', 'flowering', 'harvest', 'stage', 'ended')),
	CONSTRAINT "planting_events_moved" CHECK (("planting_events"."kind" = 'moved') = ("planting_events"."place_id" is not null)),
	CONSTRAINT "planting_events_stage" CHECK (("planting_events"."kind" = 'stage') = ("planting_events"."stage" is not null)),
	CONSTRAINT "planting_events_until" CHECK ("planting_events"."until" >= "planting_events"."happened_on")
);--> statement-breakpoint
CREATE FUNCTION pg_temp.planting_now(planting jsonb, noted_on date) RETURNS jsonb LANGUAGE sql AS $$
	SELECT CASE WHEN planting IS NULL OR planting = 'null' THEN planting ELSE
		(planting - 'inFlower' - 'nextHarvestOn' - 'endedOn') || jsonb_build_object('events', jsonb_path_query_array(jsonb_build_array(
			CASE WHEN planting ->> 'inFlower' = 'true'
				THEN jsonb_build_object('kind', 'flowering', 'on', greatest(noted_on, (planting ->> 'plantedOn')::date), 'until', null) END,
			CASE WHEN planting ->> 'nextHarvestOn' IS NOT NULL
				THEN jsonb_build_object('kind', 'harvest', 'on', greatest(planting ->> 'nextHarvestOn', planting ->> 'plantedOn'), 'until', null) END,
			CASE WHEN planting ->> 'endedOn' IS NOT NULL THEN jsonb_build_object('kind', 'ended', 'on', planting ->> 'endedOn') END
		), '$[*] ? (@ != null)')) END
$$;--> statement-breakpoint
INSERT INTO "planting_events"
SELECT p."garden_id", p."id", e.n - 1, e.value ->> 'kind', (e.value ->> 'on')::date, (e.value ->> 'until')::date
FROM "plantings" AS p
JOIN "gardens" AS g ON g."id" = p."garden_id"
LEFT JOIN LATERAL (
	SELECT max(c."made_at") AS "noted_at" FROM "changes" AS c WHERE c."garden_id" = p."garden_id" AND c."record_id" = p."id"
) AS newest ON true
CROSS JOIN LATERAL jsonb_array_elements(pg_temp.planting_now(
	jsonb_build_object('plantedOn', p."planted_on", 'inFlower', p."in_flower", 'nextHarvestOn', p."next_harvest_on", 'endedOn', p."ended_on"),
	coalesce((newest."noted_at" AT TIME ZONE g."time_zone")::date, p."planted_on")
) -> 'events') WITH ORDINALITY AS e(value, n);--> statement-breakpoint
ALTER TABLE "plantings" DROP COLUMN "in_flower";--> statement-breakpoint
ALTER TABLE "plantings" DROP COLUMN "next_harvest_on";--> statement-breakpoint
ALTER TABLE "plantings" DROP COLUMN "ended_on";--> statement-breakpoint

-- An application is one tank or job, and goes to plantings. Amounts are ml, g or pieces; a unit that is none of those stays in the reason.
CREATE FUNCTION pg_temp.ml_in(unit text) RETURNS double precision LANGUAGE sql AS $$
	SELECT CASE lower(unit) WHEN 'ml' THEN 1 WHEN 'cl' THEN 10 WHEN 'l' THEN 1000 WHEN 'tsp' THEN 5 WHEN 'tbsp' THEN 15
		WHEN 'tsp-us' THEN 4.92892159375 WHEN 'tbsp-us' THEN 14.78676478125 WHEN 'floz-us' THEN 29.5735295625 WHEN 'cup-us' THEN 236.5882365
		WHEN 'pt-us' THEN 473.176473 WHEN 'qt-us' THEN 946.352946 WHEN 'gal-us' THEN 3785.411784
		WHEN 'tsp-metric' THEN 5 WHEN 'tbsp-metric' THEN 15 WHEN 'cup-metric' THEN 250
		WHEN 'floz-imp' THEN 28.4130625 WHEN 'pt-imp' THEN 568.26125 WHEN 'gal-imp' THEN 4546.09 END
$$;--> statement-breakpoint
CREATE FUNCTION pg_temp.g_in(unit text) RETURNS double precision LANGUAGE sql AS $$
	SELECT CASE lower(unit) WHEN 'g' THEN 1 WHEN 'mg' THEN 0.001 WHEN 'kg' THEN 1000 WHEN 'oz' THEN 28.349523125 WHEN 'lb' THEN 453.59237 END
$$;--> statement-breakpoint
CREATE FUNCTION pg_temp.application_now(a jsonb, zone text, person uuid) RETURNS jsonb LANGUAGE sql AS $$
	SELECT CASE WHEN a IS NULL OR a = 'null' THEN a ELSE
		(a - 'option' - 'caseId' - 'plantingId' - 'plants' - 'coveredPart' - 'harvestSafeOn' - 'productAmount' - 'productUnit')
		|| jsonb_build_object(
			'intervention', a -> 'option',
			'targets', jsonb_build_array(jsonb_build_object('plantingId', a -> 'plantingId', 'caseId', a -> 'caseId', 'plants', a -> 'plants',
				'areaM2', null, 'coveredPart', a -> 'coveredPart', 'notPickedBefore', a -> 'harvestSafeOn')),
			'productMl', (a ->> 'productAmount')::double precision * pg_temp.ml_in(a ->> 'productUnit'),
			'productG', (a ->> 'productAmount')::double precision * pg_temp.g_in(a ->> 'productUnit'),
			'productPieces', CASE WHEN pg_temp.ml_in(a ->> 'productUnit') IS NULL AND pg_temp.g_in(a ->> 'productUnit') IS NULL
				THEN (a ->> 'productAmount')::double precision END,
			'why', CASE WHEN a ->> 'productAmount' IS NOT NULL AND coalesce(a ->> 'productUnit', '') <> ''
					AND pg_temp.ml_in(a ->> 'productUnit') IS NULL AND pg_temp.g_in(a ->> 'productUnit') IS NULL
				THEN left(concat_ws('; ', nullif(a ->> 'why', ''), (a ->> 'productAmount') || ' ' || (a ->> 'productUnit')), 4000)
				ELSE a ->> 'why' END,
			'kit', '', 'measured', null, 'brokenLines', '[]'::jsonb, 'personId', person,
			'card', jsonb_build_object('name', replace(a ->> 'option', '-', ' '),
				'source', CASE WHEN a ->> 'productAmount' IS NULL AND (a ->> 'reEntryAt')::timestamptz = (a ->> 'appliedAt')::timestamptz THEN 'none' ELSE 'typical' END,
				'preHarvestDays', coalesce((a ->> 'harvestSafeOn')::date - ((a ->> 'appliedAt')::timestamptz AT TIME ZONE zone)::date, 0),
				'reEntryHours', round(extract(epoch FROM (a ->> 'reEntryAt')::timestamptz - (a ->> 'appliedAt')::timestamptz) / 3600, 2)::double precision,
				'repeatDays', CASE WHEN a ->> 'repeatFrom' IS NOT NULL
					THEN jsonb_build_array((a ->> 'repeatFrom')::date - ((a ->> 'appliedAt')::timestamptz AT TIME ZONE zone)::date) END,
				'seasonMax', null)) END
$$;--> statement-breakpoint
CREATE TABLE "application_targets" (
	"garden_id" uuid NOT NULL,
	"application_id" uuid NOT NULL,
	"ordinal" integer NOT NULL,
	"planting_id" uuid NOT NULL,
	"case_id" uuid,
	"plants" integer NOT NULL,
	"area_m2" double precision,
	"covered_part" text NOT NULL,
	"not_picked_before" date,
	CONSTRAINT "application_targets_garden_id_application_id_planting_id_pk" PRIMARY KEY("garden_id","application_id","planting_id"),
	CONSTRAINT "application_targets_plants" CHECK ("application_targets"."plants" >= 1),
	CONSTRAINT "application_targets_area" CHECK ("application_targets"."area_m2" > 0)
);--> statement-breakpoint
INSERT INTO "application_targets"
SELECT "garden_id", "id", 0, "planting_id", "case_id", "plants", NULL, "covered_part", "harvest_safe_on" FROM "applications";--> statement-breakpoint
ALTER TABLE "applications" RENAME COLUMN "option" TO "intervention";--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "product_ml" double precision;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "product_g" double precision;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "product_pieces" double precision;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "kit" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "card" jsonb DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "broken_lines" jsonb DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE "applications" ADD COLUMN "measured" jsonb;--> statement-breakpoint
UPDATE "applications" AS a SET
	"product_ml" = (n.now ->> 'productMl')::double precision,
	"product_g" = (n.now ->> 'productG')::double precision,
	"product_pieces" = (n.now ->> 'productPieces')::double precision,
	"why" = n.now ->> 'why',
	"person_id" = (n.now ->> 'personId')::uuid,
	"card" = n.now -> 'card'
FROM (
	SELECT old."garden_id", old."id", pg_temp.application_now(jsonb_build_object(
		'option', old."intervention", 'productAmount', old."product_amount", 'productUnit', old."product_unit", 'why', old."why",
		'harvestSafeOn', old."harvest_safe_on", 'repeatFrom', old."repeat_from", 'appliedAt', old."applied_at", 'reEntryAt', old."re_entry_at"
	), g."time_zone", (
		SELECT c."person_id" FROM "changes" AS c WHERE c."garden_id" = old."garden_id" AND c."record_id" = old."id" ORDER BY c."sequence" LIMIT 1
	)) AS now
	FROM "applications" AS old JOIN "gardens" AS g ON g."id" = old."garden_id"
) AS n WHERE n."garden_id" = a."garden_id" AND n."id" = a."id";--> statement-breakpoint
ALTER TABLE "applications" DROP CONSTRAINT "applications_amounts";--> statement-breakpoint
ALTER TABLE "applications" DROP CONSTRAINT "applications_plants";--> statement-breakpoint
ALTER TABLE "applications" DROP CONSTRAINT "applications_planting";--> statement-breakpoint
ALTER TABLE "applications" DROP CONSTRAINT "applications_case";--> statement-breakpoint
DROP INDEX "applications_by_planting";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "case_id";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "planting_id";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "plants";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "product_amount";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "product_unit";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "covered_part";--> statement-breakpoint
ALTER TABLE "applications" DROP COLUMN "harvest_safe_on";--> statement-breakpoint
ALTER TABLE "applications" ALTER COLUMN "kit" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "applications" ALTER COLUMN "card" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "applications" ALTER COLUMN "broken_lines" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_water" CHECK ("applications"."water_l" >= 0);--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_product" CHECK (num_nonnulls("applications"."product_ml", "applications"."product_g", "applications"."product_pieces") <= 1 and coalesce("applications"."product_ml", "applications"."product_g", "applications"."product_pieces", 0) >= 0);--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_garden_id_gardens_id_fk" FOREIGN KEY ("garden_id") REFERENCES "public"."gardens"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applications" ADD CONSTRAINT "applications_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application_targets" ADD CONSTRAINT "application_targets_application" FOREIGN KEY ("garden_id","application_id") REFERENCES "public"."applications"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application_targets" ADD CONSTRAINT "application_targets_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application_targets" ADD CONSTRAINT "application_targets_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_diagnoses" ADD CONSTRAINT "case_diagnoses_case" FOREIGN KEY ("garden_id","case_id") REFERENCES "public"."cases"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planting_events" ADD CONSTRAINT "planting_events_planting" FOREIGN KEY ("garden_id","planting_id") REFERENCES "public"."plantings"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planting_events" ADD CONSTRAINT "planting_events_place" FOREIGN KEY ("garden_id","place_id") REFERENCES "public"."places"("garden_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stop_signs" ADD CONSTRAINT "stop_signs_stop" FOREIGN KEY ("garden_id","stop_id") REFERENCES "public"."stops"("garden_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "applications_by_day" ON "applications" USING btree ("garden_id","applied_at");--> statement-breakpoint
CREATE INDEX "applications_person" ON "applications" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "application_targets_by_planting" ON "application_targets" USING btree ("garden_id","planting_id");--> statement-breakpoint
CREATE INDEX "application_targets_by_case" ON "application_targets" USING btree ("garden_id","case_id");--> statement-breakpoint
CREATE INDEX "case_diagnoses_by_condition" ON "case_diagnoses" USING btree ("garden_id","condition","diagnosed_on");--> statement-breakpoint
CREATE INDEX "cases_open" ON "cases" USING btree ("garden_id","opened_on") WHERE "cases"."closed_on" is null;--> statement-breakpoint
CREATE INDEX "decisions_by_case" ON "decisions" USING btree ("garden_id","case_id");--> statement-breakpoint
CREATE INDEX "plantings_by_place" ON "plantings" USING btree ("garden_id","place_id");--> statement-breakpoint
CREATE INDEX "plantings_by_host" ON "plantings" USING btree ("garden_id","host");--> statement-breakpoint
CREATE INDEX "planting_events_by_kind" ON "planting_events" USING btree ("garden_id","kind","happened_on");--> statement-breakpoint
CREATE INDEX "stop_signs_by_sign" ON "stop_signs" USING btree ("garden_id","sign");--> statement-breakpoint
DROP INDEX "stops_by_planting";--> statement-breakpoint
CREATE INDEX "stops_by_planting" ON "stops" USING btree ("garden_id","planting_id","looked_at");--> statement-breakpoint
CREATE INDEX "stops_by_round" ON "stops" USING btree ("garden_id","round_id");--> statement-breakpoint
CREATE INDEX "stops_by_day" ON "stops" USING btree ("garden_id","looked_at");--> statement-breakpoint
CREATE INDEX "scouting_rounds_by_day" ON "scouting_rounds" USING btree ("garden_id","started_at");--> statement-breakpoint
CREATE INDEX "scouting_rounds_open" ON "scouting_rounds" USING btree ("garden_id") WHERE "scouting_rounds"."ended_at" is null;--> statement-breakpoint

-- Entries of a garden's own name interventions; and the history is kept in the shapes of today, so that a change can still be taken back.
CREATE FUNCTION pg_temp.entry_now(entry jsonb) RETURNS jsonb LANGUAGE sql AS $$
	SELECT CASE WHEN entry ? 'treat' THEN jsonb_set(entry, '{treat}', coalesce((
		SELECT jsonb_agg(CASE WHEN t.value ? 'use' THEN (t.value - 'use') || jsonb_build_object('intervention', t.value -> 'use') ELSE t.value END ORDER BY t.n)
		FROM jsonb_array_elements(entry -> 'treat') WITH ORDINALITY AS t(value, n)), '[]')) ELSE entry END
$$;--> statement-breakpoint
UPDATE "own_entries" SET "entry" = pg_temp.entry_now("entry");--> statement-breakpoint
CREATE FUNCTION pg_temp.record_now(subject text, r jsonb, zone text, noted_on date, person uuid) RETURNS jsonb LANGUAGE sql AS $$
	SELECT CASE WHEN r IS NULL OR r = 'null' THEN r ELSE CASE subject
		WHEN 'looks' THEN (r - 'lookedOn' - 'nextLookOn') || jsonb_build_object('assessedOn', r -> 'lookedOn', 'nextAssessmentOn', r -> 'nextLookOn')
		WHEN 'decisions' THEN (r - 'option' - 'lookAgainOn')
			|| jsonb_build_object('intervention', r -> 'option', 'nextAssessmentOn', r -> 'lookAgainOn', 'weather', null, 'reasons', '[]'::jsonb)
		WHEN 'traps' THEN (r - 'rests') || jsonb_build_object('pauses', coalesce(r -> 'rests', '[]'))
		WHEN 'plantings' THEN pg_temp.planting_now(r, noted_on)
		WHEN 'applications' THEN pg_temp.application_now(r, zone, person)
		WHEN 'ownEntries' THEN jsonb_set(r, '{entry}', pg_temp.entry_now(r -> 'entry'))
		WHEN 'stops' THEN jsonb_set(r, '{signs}', coalesce((
			SELECT jsonb_agg(s.value ORDER BY s.n) FROM (
				SELECT value, min(n) AS n FROM jsonb_array_elements(r -> 'signs') WITH ORDINALITY AS e(value, n) GROUP BY value) AS s), '[]'))
		ELSE r END END
$$;--> statement-breakpoint
UPDATE "changes" AS c SET
	"before" = pg_temp.record_now(c."subject", c."before", g."time_zone", (c."made_at" AT TIME ZONE g."time_zone")::date, c."person_id"),
	"after" = pg_temp.record_now(c."subject", c."after", g."time_zone", (c."made_at" AT TIME ZONE g."time_zone")::date, c."person_id"),
	"subject" = CASE c."subject" WHEN 'looks' THEN 'assessments' WHEN 'chores' THEN 'preventionTasks' WHEN 'gaugings' THEN 'leafMeasurements'
		WHEN 'rounds' THEN 'scoutingRounds' ELSE c."subject" END
FROM "gardens" AS g WHERE g."id" = c."garden_id";--> statement-breakpoint
DROP FUNCTION pg_temp.record_now, pg_temp.entry_now, pg_temp.application_now, pg_temp.g_in, pg_temp.ml_in, pg_temp.planting_now;
