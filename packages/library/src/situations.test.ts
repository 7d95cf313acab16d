import type { OptionsRequest } from '@field-nurse/contract';
import { answerDifferential, answerOptions } from './answers/index';
import { library } from './testLibrary';

interface Situation {
  readonly told: string;
  readonly plant: string;
  readonly setting: OptionsRequest['setting'];
  readonly month: number;
  /** the causes that a friend who knows would think of; one of them comes first */
  readonly causes: readonly string[];
  readonly today: Partial<OptionsRequest>;
  /** what such a friend would say to do, each open */
  readonly would: readonly string[];
  /** what they would advise against here and now, each ruled out or not even named */
  readonly wouldNot: readonly string[];
}

// From the first words over the diagnosis to what is open today.
const situations: readonly Situation[] = [
  {
    told: 'Broad beans. The soft tops are black with lice, ants run up and down, pods are filling lower down.',
    plant: 'broad beans',
    setting: 'outdoor',
    month: 6,
    causes: ['black-bean-aphid'],
    today: { stance: 'organic', inFlower: true, edible: true, daysToHarvest: 20, temperatureC: 18 },
    would: ['pinch-tips', 'water-jet'],
    wouldNot: ['pyrethrins', 'acetamiprid', 'lambda-cyhalothrin'],
  },
  {
    told: 'White woolly bits in the joints of my jade plant on the kitchen sill, leaves sticky. Two cats in the house.',
    plant: 'jade plant',
    setting: 'indoor',
    month: 1,
    causes: ['mealybug', 'long-tailed-mealybug'],
    today: { stance: 'softest', animalsNear: true, plants: 1, temperatureC: 20 },
    would: ['alcohol-swab', 'check-new-plants'],
    wouldNot: ['lambda-cyhalothrin', 'malathion'],
  },
  {
    told: 'Courgette leaves white as if dusted with flour, old ones first. We still pick every second day.',
    plant: 'courgettes',
    setting: 'outdoor',
    month: 9,
    causes: ['powdery-mildew'],
    today: { stance: 'organic', edible: true, daysToHarvest: 1, daysToFrost: 12, temperatureC: 17, forecast: { windKmh: 5 } },
    would: ['watch', 'pick-off-leaves'],
    wouldNot: ['difenoconazole'],
  },
  {
    told: 'My lettuces are cut off at the soil overnight, one a night, and I dug up a fat grey caterpillar that curls up beside the last one.',
    plant: 'lettuce',
    setting: 'outdoor',
    month: 5,
    causes: ['cutworm'],
    today: { stance: 'hands', edible: true, age: 'seedling', plants: 20 },
    would: ['hand-pick', 'stem-collars', 'torch-walk'],
    wouldNot: ['spinosad', 'pyrethrins'],
  },
  {
    told: 'Tomatoes outside, it rained all week. Dark greasy blotches race over the leaves, white fuzz at the edges below, stems brown.',
    plant: 'tomatoes',
    setting: 'outdoor',
    month: 8,
    causes: ['late-blight'],
    today: { stance: 'organic', edible: true, daysToHarvest: 3, temperatureC: 17, forecast: { windKmh: 6, rainInHours: 1 } },
    would: ['remove-plant'],
    wouldNot: ['mancozeb', 'sulphur'],
  },
  {
    told: 'Little black flies run over the soil of the pot and fly up when I water, the soil never dries.',
    plant: 'peace lily',
    setting: 'indoor',
    month: 11,
    causes: ['fungus-gnat'],
    today: { stance: 'softest', plants: 1, temperatureC: 21 },
    would: ['let-dry', 'sticky-cards'],
    wouldNot: ['lambda-cyhalothrin'],
  },
  {
    told: 'Cabbages hang in the sun and stand up at night. I pulled one and the root is one fat swollen club.',
    plant: 'cabbage',
    setting: 'outdoor',
    month: 7,
    causes: ['clubroot'],
    today: { stance: 'organic', edible: true, plants: 30 },
    would: ['rotate-crop', 'remove-with-soil', 'weed-out'],
    wouldNot: ['copper', 'sulphur', 'water-less'],
  },
  {
    told: 'Roses have black spots with feathery rims and yellow leaves drop. Flowers are open and full of bees.',
    plant: 'roses',
    setting: 'outdoor',
    month: 6,
    causes: ['rose-black-spot'],
    today: { stance: 'organic', inFlower: true, temperatureC: 19, forecast: { windKmh: 4 } },
    would: ['pick-off-leaves', 'strip-old-leaves', 'water-morning'],
    wouldNot: ['lime-sulphur-dormant'],
  },
  {
    told: 'Bottom of every tomato fruit goes flat, black and leathery. Grow bags, dried out twice last week.',
    plant: 'tomatoes',
    setting: 'greenhouse',
    month: 7,
    causes: ['blossom-end-rot'],
    today: { stance: 'softest', edible: true, daysToHarvest: 5 },
    would: ['even-watering-calcium', 'water-deeply'],
    wouldNot: ['copper', 'mancozeb'],
  },
  {
    told: 'Something chews half moons out of the edges of my rhododendron leaves at night. In the pot beside it fat white grubs with brown heads, curled, and no roots.',
    plant: 'rhododendron',
    setting: 'outdoor',
    month: 9,
    causes: ['vine-weevil'],
    today: { stance: 'organic', temperatureC: 15 },
    would: ['weevil-nematodes', 'torch-walk'],
    wouldNot: ['imidacloprid'],
  },
];

test.each(situations.map((one) => [one.told, one] as const))(
  '“%s”',
  (_, { told, plant, setting, month, causes, today, would, wouldNot }) => {
    const diagnosis = answerDifferential(library, { host: plant, setting, month, text: told });
    const found = diagnosis.ranked[0]!.condition;
    expect(causes).toContain(found);
    const findings = diagnosis.read.map(({ sign, state }) => ({ sign, state }));
    const answer = answerOptions(library, { host: plant, conditions: [found], setting, month, findings, stance: 'organic', ...today });
    const open = answer.options.filter(({ verdict }) => verdict !== 'ruled-out').map(({ id }) => id);
    expect(open).toEqual(expect.arrayContaining([...would]));
    expect(wouldNot.filter((id) => open.includes(id))).toEqual([]);
    expect(answer.advice).toMatch(/^[A-Z].*\.$/s);
  },
);
