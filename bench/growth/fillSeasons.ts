import type { Pool } from 'pg';

/** How large a made-up garden is. */
export interface Size {
  readonly seasons: number;
  readonly plantingsPerSeason: number;
  readonly roundsPerSeason: number;
  readonly stopsPerRound: number;
  readonly casesPerSeason: number;
}

// One in ten plantings stands on through the years; the others end with their season.
const places = 40;

/**
 * Fill a garden by SQL: seasons of plantings, rounds with their stops, cases with what belongs to them, and the change that made each record.
 *
 * @param garden - id of an empty garden
 * @param lastYear - the running season
 */
export async function fillSeasons(pool: Pool, garden: string, person: string, size: Size, lastYear: number): Promise<void> {
  const firstYear = lastYear - size.seasons + 1;
  const run = (text: string) => pool.query(text.replaceAll('$garden', `'${garden}'::uuid`).replaceAll('$person', `'${person}'::uuid`));
  await run(`
    insert into places (garden_id, id, version, name, kind, setting, area_m2, shape, note, ended_on)
    select $garden, gen_random_uuid(), 1, 'Bed ' || n, 'bed', 'outdoor', 20,
      jsonb_build_object('kind', 'rectangle', 'x', (n % 8) * 12 + 6, 'y', (n / 8) * 4 + 2, 'width', 10, 'depth', 2, 'turn', 0), '', null
    from generate_series(1, ${places}) n`);
  await run(`
    create temp table grown as
    select gen_random_uuid() as id, y as year, n, (n <= ${size.plantingsPerSeason / 10}) as stays, p.id as place_id,
      (array['leek','tomato','potato','rose','bean','cabbage','strawberry','apple','lettuce','carrot'])[1 + (n + y) % 10] as host
    from generate_series(${firstYear}, ${lastYear}) y, generate_series(1, ${size.plantingsPerSeason}) n
    join (select id, row_number() over (order by name) as k from places where garden_id = $garden) p on p.k = 1 + n % ${places}
    where n > ${size.plantingsPerSeason / 10} or y = ${firstYear}`);
  await run(`
    insert into plantings (garden_id, id, version, place_id, host, cultivar, plants, rows, shape, planted_on, setting, eaten, quarantine, note)
    select $garden, id, 1, place_id, host, 'Kind ' || n, 10 + n % 40, 1 + n % 4, null, make_date(year, 3, 1) + n % 60, 'outdoor', host <> 'rose', null, ''
    from grown`);
  await run(`
    insert into planting_events (garden_id, planting_id, ordinal, kind, happened_on)
    select $garden, id, 0, 'harvest', make_date(year, 8, 1) from grown
    union all
    select $garden, id, 1, 'ended', make_date(year, 10, 15) from grown where not stays and year < ${lastYear}`);
  await run(`
    create temp table walked as
    select gen_random_uuid() as id, y as year, r,
      least(make_date(y, 3, 5) + r * 240 / ${size.roundsPerSeason}, current_date - 1) + time '08:00' as at
    from generate_series(${firstYear}, ${lastYear}) y, generate_series(1, ${size.roundsPerSeason}) r`);
  await run(`
    insert into scouting_rounds (garden_id, id, version, started_at, ended_at, "by", walk, clock_mended)
    select $garden, w.id, 1, w.at, w.at + interval '2 hours', 'Wren',
      (select jsonb_agg(g.id) from (select id from grown g where g.stays or g.year = w.year order by n limit ${size.stopsPerRound}) g), false
    from walked w`);
  await run(`
    insert into stops (garden_id, id, version, round_id, planting_id, looked_at, found, target, measure, sample, decision, severity, gauged, damage,
      helpers, droppings, eggs, case_id, photos, note, clock_mended)
    select $garden, gen_random_uuid(), 1, w.id, walked.planting::uuid, w.at + walked.k * interval '1 minute', walked.k % 9 = 0, null, null, '[]', null,
      case when walked.k % 9 = 0 then 4 end, null, null, 0, false, false, null, '[]', '', false
    from walked w join scouting_rounds s on s.garden_id = $garden and s.id = w.id,
      jsonb_array_elements_text(s.walk) with ordinality as walked(planting, k)`);
  await run(`
    insert into stop_signs (garden_id, stop_id, ordinal, sign)
    select garden_id, id, 0, 'small-round-holes' from stops where garden_id = $garden and found`);
  await run(`
    create temp table sick as
    select gen_random_uuid() as id, g.id as planting_id, g.year, row_number() over (partition by g.year order by g.n) as k
    from grown g where g.n <= ${size.casesPerSeason}`);
  await run(`
    insert into cases (garden_id, id, version, planting_id, opened_on, words, findings, onset, pattern, stage, hidden, helpers_seen, closed_on, outcome, note)
    select $garden, id, 1, planting_id, make_date(year, 5, 1) + (k % 90)::int, 'small round holes in the leaves',
      jsonb_build_array(jsonb_build_object('sign', 'small-round-holes', 'state', 'seen', 'source', 'text', 'phrase', 'small round holes',
        'on', make_date(year, 5, 1) + (k % 90)::int)), null, null, null, null, false,
      case when year < ${lastYear} or k % 3 > 0 then make_date(year, 9, 1) end, case when year < ${lastYear} or k % 3 > 0 then 'recovered' end, ''
    from sick`);
  await run(`
    insert into case_diagnoses (garden_id, case_id, ordinal, rank, diagnosed_on, condition, why)
    select $garden, id, 0, 0, make_date(year, 5, 2) + (k % 90)::int, 'flea-beetle', '' from sick`);
  await run(`
    insert into decisions (garden_id, id, version, case_id, intervention, verdict, decided_on, next_assessment_on, weather, reasons, note)
    select $garden, gen_random_uuid(), 1, id, 'watch', 'fits', make_date(year, 5, 3) + (k % 90)::int, make_date(year, 5, 10) + (k % 90)::int, null, '[]', ''
    from sick`);
  await run(`
    insert into assessments (garden_id, id, version, case_id, planting_id, assessed_on, severity, count, new_growth, next_assessment_on, note)
    select $garden, gen_random_uuid(), 1, id, planting_id, make_date(year, 5, 10) + (k % 90)::int + m * 7, 10 - m, null, 'marked',
      make_date(year, 5, 17) + (k % 90)::int + m * 7, '' from sick, generate_series(0, 2) m`);
  await run(`
    create temp table treated as select gen_random_uuid() as id, id as case_id, planting_id, year, k, m from sick, generate_series(0, 1) m`);
  await run(`
    insert into applications (garden_id, id, version, intervention, applied_at, product_ml, product_g, product_pieces, water_l, kit, applied_by,
      person_id, temperature_c, wind_kmh, sky, why, card, broken_lines, measured, re_entry_at, repeat_from)
    select $garden, id, 1, 'insecticidal-soap', make_date(year, 5, 4) + (k % 90)::int + m * 7 + time '18:00', 40, null, null, 2, 'knapsack', 'Wren',
      $person, 18, 5, 'cloud', 'flea beetle',
      '{"name": "Insecticidal soap", "source": "typical", "preHarvestDays": 0, "reEntryHours": 12, "repeatDays": [5, 7], "seasonMax": null}', '[]', null,
      make_date(year, 5, 5) + (k % 90)::int + m * 7 + time '06:00', make_date(year, 5, 9) + (k % 90)::int + m * 7
    from treated`);
  await run(`
    insert into application_targets (garden_id, application_id, ordinal, planting_id, case_id, plants, area_m2, covered_part, not_picked_before)
    select $garden, id, 0, planting_id, case_id, 10, null, 'leaves', make_date(year, 5, 4) + (k % 90)::int + m * 7 from treated`);
  // Each record was once written: the log is as long as the garden.
  await run(`
    insert into changes (garden_id, id, sequence, subject, record_id, version, before, after, undoes, person_id, made_at)
    select $garden, gen_random_uuid(), row_number() over (order by at), subject, id, 1, null, record, null, $person, at from (
      select 'plantings' as subject, id, to_jsonb(p) as record, planted_on::timestamptz as at from plantings p where garden_id = $garden
      union all select 'scoutingRounds', id, to_jsonb(r), started_at from scouting_rounds r where garden_id = $garden
      union all select 'stops', id, to_jsonb(s), looked_at from stops s where garden_id = $garden
      union all select 'cases', id, to_jsonb(c), opened_on::timestamptz from cases c where garden_id = $garden
      union all select 'applications', id, to_jsonb(a), applied_at from applications a where garden_id = $garden
    ) told`);
  await run(`
    update gardens set last_sequence = (select max(sequence) from changes where garden_id = $garden),
      record_count = (select count(*) from changes where garden_id = $garden) where id = $garden`);
  await run('drop table grown, walked, sick, treated');
  await run('analyze');
}
