ALTER TABLE "gardens" ADD COLUMN "not_listed" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint

-- Entries of the library that were split: which of the new ones a kept one becomes follows from its plant.
CREATE FUNCTION pg_temp.split_condition(condition text, host text) RETURNS text LANGUAGE sql IMMUTABLE AS $$
	SELECT CASE condition
		WHEN 'vascular-wilt' THEN CASE WHEN host IN ('strawberry', 'aubergine', 'potato', 'dahlia', 'raspberry') THEN 'verticillium-wilt' ELSE 'fusarium-wilt' END
		WHEN 'web-caterpillars' THEN 'tent-caterpillar'
		WHEN 'fruit-maggot-fly' THEN CASE host WHEN 'cherry' THEN 'cherry-fruit-fly' WHEN 'olive' THEN 'olive-fly' WHEN 'apple' THEN 'apple-maggot' ELSE 'spotted-wing-fly' END
		WHEN 'succulent-gall-mite' THEN CASE WHEN host IN ('agave', 'yucca') THEN 'agave-mite' ELSE 'aloe-mite' END
		WHEN 'broad-and-cyclamen-mite' THEN CASE WHEN host IN ('african-violet', 'strawberry', 'ivy', 'snapdragon') THEN 'cyclamen-mite' ELSE 'broad-mite' END
		WHEN 'lawn-patch' THEN 'lawn-snow-mould'
		WHEN 'needle-blight' THEN CASE host WHEN 'spruce' THEN 'spruce-needle-cast' WHEN 'arborvitae' THEN 'thuja-blight' ELSE 'pine-needle-blight' END
		WHEN 'anthracnose' THEN CASE
			WHEN host IN ('climbing-bean', 'runner-bean', 'sweet-pea') THEN 'bean-anthracnose'
			WHEN host IN ('cucumber', 'melon', 'watermelon', 'winter-squash', 'courgette') THEN 'cucurbit-anthracnose'
			WHEN host = 'strawberry' THEN 'strawberry-anthracnose'
			WHEN host IN ('maple', 'oak', 'ash') THEN 'tree-anthracnose'
			WHEN host IN ('hosta', 'anthurium', 'euonymus') THEN 'leaf-anthracnose'
			ELSE 'fruit-anthracnose' END
		WHEN 'downy-mildew' THEN CASE
			WHEN host IN ('lettuce', 'endive', 'artichoke') THEN 'lettuce-downy-mildew'
			WHEN host IN ('cucumber', 'melon', 'watermelon', 'winter-squash', 'courgette') THEN 'cucurbit-downy-mildew'
			WHEN host IN ('cabbage', 'kale', 'broccoli', 'cauliflower', 'radish', 'rocket', 'turnip', 'pak-choi', 'brussels-sprouts') THEN 'brassica-downy-mildew'
			WHEN host IN ('pea', 'broad-bean', 'sweet-pea') THEN 'pea-downy-mildew'
			WHEN host = 'grape' THEN 'grape-downy-mildew'
			WHEN host = 'basil' THEN 'basil-downy-mildew'
			WHEN host = 'rose' THEN 'rose-downy-mildew'
			WHEN host IN ('onion', 'leek', 'chives') THEN 'onion-downy-mildew'
			ELSE 'downy-mildew' END
		ELSE condition END
$$;--> statement-breakpoint
CREATE FUNCTION pg_temp.renamed_intervention(intervention text) RETURNS text LANGUAGE sql IMMUTABLE AS $$
	SELECT CASE intervention WHEN 'neem' THEN 'azadirachtin' WHEN 'codling-trap' THEN 'pheromone-trap' WHEN 'grub-nematodes' THEN 'chafer-nematodes' ELSE intervention END
$$;--> statement-breakpoint
UPDATE "case_diagnoses" d SET "condition" = pg_temp.split_condition(d."condition", p."host")
FROM "cases" c JOIN "plantings" p ON p."garden_id" = c."garden_id" AND p."id" = c."planting_id"
WHERE c."garden_id" = d."garden_id" AND c."id" = d."case_id";--> statement-breakpoint
UPDATE "stops" s SET "target" = pg_temp.split_condition(s."target", p."host")
FROM "plantings" p WHERE p."garden_id" = s."garden_id" AND p."id" = s."planting_id" AND s."target" IS NOT NULL;--> statement-breakpoint
UPDATE "traps" SET "target" = pg_temp.split_condition("target", '') WHERE "target" IS NOT NULL;--> statement-breakpoint
UPDATE "thresholds" SET "condition" = pg_temp.split_condition("condition", '');--> statement-breakpoint
UPDATE "decisions" SET "intervention" = pg_temp.renamed_intervention("intervention");--> statement-breakpoint
UPDATE "applications" SET "intervention" = pg_temp.renamed_intervention("intervention");--> statement-breakpoint
UPDATE "clinic_samples" k SET "results" = (
	SELECT coalesce(jsonb_agg(CASE WHEN r ? 'condition' THEN jsonb_set(r, '{condition}', to_jsonb(pg_temp.split_condition(r->>'condition', p."host"))) ELSE r END ORDER BY i), '[]'::jsonb)
	FROM jsonb_array_elements(k."results") WITH ORDINALITY AS e(r, i))
FROM "cases" c JOIN "plantings" p ON p."garden_id" = c."garden_id" AND p."id" = c."planting_id"
WHERE c."garden_id" = k."garden_id" AND c."id" = k."case_id";--> statement-breakpoint
UPDATE "clinic_reports" k SET "results" = (
	SELECT coalesce(jsonb_agg(CASE WHEN r ? 'condition' THEN jsonb_set(r, '{condition}', to_jsonb(pg_temp.split_condition(r->>'condition', p."host"))) ELSE r END ORDER BY i), '[]'::jsonb)
	FROM jsonb_array_elements(k."results") WITH ORDINALITY AS e(r, i))
FROM "clinic_samples" s JOIN "cases" c ON c."garden_id" = s."garden_id" AND c."id" = s."case_id" JOIN "plantings" p ON p."garden_id" = c."garden_id" AND p."id" = c."planting_id"
WHERE s."garden_id" = k."garden_id" AND s."id" = k."sample_id";--> statement-breakpoint
-- Entries of a garden's own name treatments and look-alikes: those that were renamed get their new names.
UPDATE "own_entries" SET "entry" = replace(replace(replace("entry"::text, '"neem"', '"azadirachtin"'), '"codling-trap"', '"pheromone-trap"'), '"grub-nematodes"', '"chafer-nematodes"')::jsonb
WHERE "kind" = 'conditions';--> statement-breakpoint
UPDATE "own_entries" SET "entry" = replace(replace(replace(replace(replace(replace(replace("entry"::text, '"vascular-wilt"', '"fusarium-wilt"'), '"web-caterpillars"', '"tent-caterpillar"'), '"fruit-maggot-fly"', '"spotted-wing-fly"'), '"broad-and-cyclamen-mite"', '"broad-mite"'), '"succulent-gall-mite"', '"aloe-mite"'), '"needle-blight"', '"pine-needle-blight"'), '"anthracnose"', '"leaf-anthracnose"')::jsonb
WHERE "kind" = 'conditions';
--> statement-breakpoint
-- What an entry need not say is written out with it: what is new gets the value that it has when nothing is said.
UPDATE "own_entries" SET "entry" = '{"reportable": "no", "range": []}'::jsonb || jsonb_set("entry", '{hosts}', '{"often": [], "sometimes": [], "seldom": [], "never": []}'::jsonb || coalesce("entry"->'hosts', '{}'::jsonb))
WHERE "kind" = 'conditions';--> statement-breakpoint
UPDATE "own_entries" SET "entry" = '{"maybe": [], "sometimesEaten": false, "deciduous": false, "tender": false}'::jsonb || "entry"
WHERE "kind" = 'hosts';
