import fc from 'fast-check';
import { addDays } from '../timing';
import { DayOrderWitness, DecimalWitness, matchColumns, readDay, readNumber, readTime, readUnit } from './index';

describe('days', () => {
  test.each([
    ['2024-05-03', '2024-05-03', undefined],
    ['2024/5/3 7:05', '2024-05-03', '07:05'],
    ['2024-05-03T18:30:00.000Z', '2024-05-03', '18:30'],
    ['3/5/2024', '2024-05-03', undefined],
    ['03.05.24', '2024-05-03', undefined],
    ['3. 5. 2024', '2024-05-03', undefined],
    ['3 May 2024', '2024-05-03', undefined],
    ['Fri, 3rd May 2024 6:30 pm', '2024-05-03', '18:30'],
    ['3-Sept-24', '2024-09-03', undefined],
    ['September 3, 2024', '2024-09-03', undefined],
    ['20240503', '2024-05-03', undefined],
    ['45415', '2024-05-03', undefined],
    ['45415.75', '2024-05-03', '18:00'],
    ['29/2/2024', '2024-02-29', undefined],
    ['1/1/99', '1999-01-01', undefined],
  ])('%s', (cell, day, time) => {
    expect(readDay(cell, 'day-month')).toEqual({ day, time });
  });

  test.each([
    '',
    'last week',
    '31/2/2024',
    '29/2/2023',
    '13/13/2024',
    '2024-00-10',
    '3/5',
    '3/5/2024 25:00',
    '3/5/2024 and later',
    '12345678',
    '3/5/224',
    '99999',
  ])('“%s” is none', (cell) => {
    expect(readDay(cell, 'day-month')).toBeUndefined();
  });

  test('the order says which number is the month', () => {
    expect(readDay('3/5/2024', 'month-day')?.day).toBe('2024-03-05');
    expect(readDay('13/5/2024', 'month-day')).toBeUndefined();
  });

  test('any day written in any way is read back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.constantFrom('/', '.', '-'), (days, between) => {
        const day = addDays('1970-01-01', days);
        const [year, month, date] = day.split('-') as [string, string, string];
        expect(readDay(day, 'month-day')?.day).toBe(day);
        expect(readDay([Number(date), Number(month), year].join(between), 'day-month')?.day).toBe(day);
        expect(readDay([month, date, year].join(between), 'month-day')?.day).toBe(day);
      }),
    );
  });

  test('a column tells its order where a number is above twelve', () => {
    const witness = new DayOrderWitness();
    for (const cell of ['3/5/2024', '4/5/2024']) witness.see(cell);
    expect(witness.order()).toBeUndefined();
    witness.see('4/25/2024');
    expect([witness.order(), witness.isMixed()]).toEqual(['month-day', false]);
    witness.see('25/4/2024');
    witness.see('26/4/2024');
    expect([witness.order(), witness.isMixed()]).toEqual(['day-month', true]);
  });

  test('times of a column of their own', () => {
    expect(['18:30', '6.30 pm', '18h30', '12:05 am', 'noon', '24:00'].map(readTime)).toEqual([
      '18:30',
      '18:30',
      '18:30',
      '00:05',
      undefined,
      undefined,
    ]);
  });
});

describe('numbers', () => {
  test.each([
    ['12', 'point', 12, ''],
    ['1,234.5 ml', 'point', 1234.5, 'ml'],
    ['1.234,5', 'comma', 1234.5, ''],
    ["12'000", 'point', 12_000, ''],
    ['1 500 g', 'comma', 1500, 'g'],
    ['2½ Litres', 'point', 2.5, 'litres'],
    ['-3,5 °C', 'comma', -3.5, '°c'],
    ['.5', 'point', 0.5, ''],
    ['30%', 'point', 30, '%'],
  ] as const)('%s', (cell, sign, value, unit) => {
    expect(readNumber(cell, sign)).toEqual({ value, unit });
  });

  test.each([
    ['1,5', 'point'],
    ['1.5', 'comma'],
    ['12,34', 'point'],
    ['a few', 'point'],
    ['', 'point'],
    ['ml', 'point'],
    ['3 to 5', 'point'],
    ['1.2.3', 'point'],
    ['5/2', 'point'],
  ] as const)('“%s” is none with a %s', (cell, sign) => {
    const read = readNumber(cell, sign);
    // "3 to 5" has words behind it, which are no unit.
    expect(read === undefined || readUnit(read.unit) === undefined).toBe(true);
  });

  test('a column tells its sign, and thousands tell nothing', () => {
    const told = (...cells: string[]) => {
      const witness = new DecimalWitness();
      for (const cell of cells) witness.see(cell);
      return witness.sign();
    };
    expect(told('1,5', '12')).toBe('comma');
    expect(told('1.5', '2,25', '0.125')).toBe('point');
    expect(told('1,500', '2.000', '7')).toBeUndefined();
    expect(told('1.234,50 ml')).toBe('comma');
    expect(told('0,125')).toBe('comma');
  });

  test('units as people write them', () => {
    expect(['ml', 'Litres', 'KG', 'Ltr.', 'grams', 'gallon', 'tsp', 'spoons'].map(readUnit)).toEqual([
      'ml',
      'l',
      'kg',
      'l',
      'g',
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe('columns', () => {
  const columns = [
    { name: 'day', also: ['date', 'applied on'] },
    { name: 'plant', also: ['crop'] },
    { name: 'amount', also: ['quantity', 'product used'] },
    { name: 'water', also: ['spray volume'] },
    { name: 'by', also: ['operator'] },
  ];
  const at = (heads: string[]) => Object.fromEntries([...matchColumns(heads, columns)].map(([name, found]) => [name, found.at]));

  test('by our names, by theirs, in any order', () => {
    expect(at(['Crop', 'DATE', 'Operator', 'productUsed'])).toEqual({ plant: 0, day: 1, by: 2, amount: 3 });
  });
  test('with units, slips and words beside', () => {
    const found = matchColumns(['Date of spray', 'Quantitiy (ml)', 'Water litres', 'Crop / planting'], columns);
    expect(found.get('amount')).toEqual({ at: 1, unit: 'ml' });
    expect(found.get('water')).toEqual({ at: 2, unit: 'l' });
    expect(found.get('day')?.at).toBe(0);
    expect(found.get('plant')?.at).toBe(3);
  });
  test('no head is taken twice, and none for what it is not', () => {
    expect(at(['Date', 'Date', 'Weather', ''])).toEqual({ day: 0 });
  });
});
