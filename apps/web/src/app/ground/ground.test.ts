import { planArea } from '@field-nurse/core/ground';
import { applied, assessment, place, sickness } from '../testing/test-garden';
import { fromGeoJson, NotAPlan, toGeoJson } from './geojson';
import { asKind, dragged, handles, pulled, turnedBy } from './plan-edit';
import { marksOn, trapSpotOn } from './plan-marks';
import { trialOn, trialWords } from './plan-trial';

const bed = { kind: 'rectangle' as const, x: 5, y: 2, width: 10, depth: 2, turn: 0 };
const round = { kind: 'circle' as const, x: 0, y: 0, radius: 2 };

describe('editing', () => {
  test('a drag snaps to the neighbour, and what is let go lies on whole centimetres', () => {
    expect(dragged(bed, 10.1, 0.04, [bed])).toMatchObject({ x: 15, y: 2 });
    expect(dragged(round, 0.333, 0, [])).toMatchObject({ x: 0.3, y: 0, radius: 2 });
  });

  test('pulling the corner keeps the one across', () => {
    expect(handles(bed)).toEqual([{ x: 10, y: 3 }]);
    expect(pulled(bed, 0, { x: 12, y: 4 })).toEqual({ ...bed, x: 6, y: 2.5, width: 12, depth: 3 });
    const [corner] = handles({ ...bed, turn: 90 });
    const quarter = pulled({ ...bed, turn: 90 }, 0, { x: corner!.x, y: corner!.y + 2 });
    expect(quarter).toMatchObject({ width: 12, depth: 2 });
  });

  test('nothing is pulled to nothing', () => {
    expect(pulled(bed, 0, { x: -50, y: -50 })).toMatchObject({ width: 0.2, depth: 0.2 });
    expect(pulled(round, 0, { x: 0, y: 0 })).toMatchObject({ radius: 0.2 });
  });

  test('a corner of a free shape goes where it is pulled', () => {
    const free = asKind(bed, 'outline');
    expect(planArea(free)).toBeCloseTo(20, 6);
    expect(planArea(pulled(free, 2, { x: 10, y: 5 }))).toBeCloseTo(30, 6);
  });

  test('kinds change in place; turns stay within half a turn', () => {
    expect(asKind(bed, 'circle')).toMatchObject({ x: 5, y: 2, radius: 1 });
    expect(asKind(round, 'rectangle')).toMatchObject({ x: 0, y: 0, width: 4, depth: 4 });
    expect(turnedBy({ ...bed, turn: 175 }, 15)).toMatchObject({ turn: -170 });
    expect(turnedBy(round, 15)).toEqual(round);
  });
});

describe('the plan as it was', () => {
  const records = { cases: [sickness], assessments: [assessment], applications: [applied] };

  test('a case shows from its opening to its closing, with what was known by then', () => {
    expect(marksOn('2026-06-20', 'leeks', records)).toEqual({ cases: [], health: 'well', keepOut: false });
    expect(marksOn('2026-07-02', 'leeks', records)).toMatchObject({ cases: ['rust'], health: 'sick' });
    expect(marksOn('2026-07-18', 'leeks', records)).toMatchObject({ health: 'first-look' });
    const closed = { ...sickness, closedOn: '2026-07-10', outcome: 'recovered' as const };
    expect(marksOn('2026-07-10', 'leeks', { ...records, cases: [closed] }).cases).toEqual([]);
  });

  test('a trap stands where it stood', () => {
    const trap = {
      id: 't',
      version: 1,
      placeId: 'bed',
      name: 'Card',
      kind: 'sticky-card' as const,
      target: null,
      spots: [
        { from: '2026-07-01', name: 'door', x: 1, y: 1 },
        { from: '2026-07-10', name: 'wall', x: 5, y: 1 },
      ],
      weeklyLevel: null,
      pauses: [],
      note: '',
      endedOn: '2026-07-20',
    };
    expect(['2026-06-30', '2026-07-09', '2026-07-10', '2026-07-20'].map((day) => trapSpotOn(day, trap)?.name)).toEqual([
      undefined,
      'door',
      'wall',
      undefined,
    ]);
  });
});

describe('GeoJSON', () => {
  const out = (shape: Parameters<typeof toGeoJson>[0][number]['shape']) =>
    JSON.stringify(toGeoJson([{ id: place.id, shape, properties: { name: 'Long bed', kind: 'bed' } }]));

  test('what went out comes back as it was, for each kind of shape', () => {
    for (const shape of [bed, { ...bed, turn: 30 }, round, asKind(bed, 'outline')])
      expect(fromGeoJson(out(shape))).toEqual([{ id: place.id, name: 'Long bed', kind: 'bed', shape, plant: null, place: null }]);
  });

  test('rings are closed, and north is up', () => {
    const { features } = JSON.parse(out(bed)) as { features: { geometry: { coordinates: [number, number][][] } }[] };
    const [ring] = features[0]!.geometry.coordinates;
    expect(ring![0]).toEqual(ring!.at(-1));
    expect(ring![0]).toEqual([0, -1]);
  });

  test('degrees are laid flat: a hundredth of a degree north is 1113 metres', () => {
    const ring = [
      [-1.1, 51.9],
      [-1.099, 51.9],
      [-1.099, 51.901],
      [-1.1, 51.9],
    ];
    const [read] = fromGeoJson(
      JSON.stringify({
        type: 'FeatureCollection',
        features: [{ type: 'Feature', properties: null, geometry: { type: 'Polygon', coordinates: [ring] } }],
      }),
    );
    expect(read).toMatchObject({ id: null, name: 'Place 1', kind: null });
    // Half of 68.7 m by 111.3 m.
    expect(planArea(read!.shape)).toBeCloseTo((68.69 * 111.32) / 2, -1);
  });

  test.each([
    ['not json', 'not JSON'],
    ['{"a":1}', 'no GeoJSON'],
    ['{"type":"FeatureCollection","features":[]}', 'No area'],
    [
      '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[1,2]}}]}',
      'No area',
    ],
    [
      '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":{"type":"Polygon","coordinates":[[[1,"x"],[2,2]]]}}]}',
      'No area',
    ],
  ])('%s is refused in words', (text, words) => {
    expect(() => fromGeoJson(text)).toThrow(NotAPlan);
    expect(() => fromGeoJson(text)).toThrow(words);
  });

  test('a kept shape that makes no sense gives way to the polygon', () => {
    const broken = out(bed).replace('"width":10', '"width":"wide"');
    expect(fromGeoJson(broken)[0]!.shape).toMatchObject({ kind: 'outline' });
  });

  test('a long name is kept within their length', () => {
    const long = out(bed).replace('Long bed', 'x'.repeat(500));
    expect(fromGeoJson(long)[0]!.name).toHaveLength(120);
  });
});

describe('what is compared on a planting', () => {
  const part = (name: string, intervention: string | null, strips: number[]) => ({ id: name, name, intervention, plants: null, strips });
  const divided = { ...sickness, parts: [part('a', 'sulphur', [2, 3]), part('b', null, [1, 4])] };
  const look = (plant: number, assessedOn: string, severity: number) => ({
    ...assessment,
    id: `${plant} ${assessedOn}`,
    plant,
    assessedOn,
    severity,
  });
  const leeks = { id: sickness.plantingId, rows: 2, plants: 12 };

  test('strips stand in their order, whoever has them; closed or not yet open there are none', () => {
    const records = { cases: [divided], assessments: [] };
    expect(trialOn('2026-07-10', leeks, records)).toEqual({
      strips: ['alone', 'treated', 'treated', 'alone'],
      plants: [],
      rows: 2,
      of: 12,
    });
    expect(trialOn('2026-06-01', leeks, records)).toBeUndefined();
    expect(trialOn('2026-07-10', leeks, { ...records, cases: [sickness] })).toBeUndefined();
  });

  test('plants are followed by what was known on the day; the one that lags is said', () => {
    const first = [1, 5, 7].map((plant) => look(plant, '2026-07-05', 30));
    const later = [look(1, '2026-07-12', 8), look(5, '2026-07-12', 10), look(7, '2026-07-12', 29)];
    const records = { cases: [sickness], assessments: [...later, ...first] };
    expect(trialOn('2026-07-06', leeks, records)!.plants.map(({ lags }) => lags)).toEqual([false, false, false]);
    const trial = trialOn('2026-07-12', leeks, records)!;
    expect(trial.plants).toMatchObject([{ plant: 1 }, { plant: 5 }, { plant: 7, lags: true }]);
    expect(trialWords(trial)).toBe('3 plants are followed; plant 7 lags behind');
  });
});
