/** Where on earth, as far as it bears on what lives there. */
export type Continent = 'europe' | 'north-america' | 'south-america' | 'africa' | 'asia' | 'australasia';

/**
 * The continent of a place by its coordinates, roughly: boxes with the Mediterranean, the Urals (60° east), the Caucasus, Suez, Panama and the
 * line between Timor and Australia as their sides. Good enough for how likely an organism is; a place near a side may be told wrong.
 *
 * @param latitude - degrees north, −90 to 90
 * @param longitude - degrees east, −180 to 180
 * @returns nothing for open oceans and the poles
 * @example
 * continentAt(52, 5) // => 'europe'
 */
export function continentAt(latitude: number, longitude: number): Continent | undefined {
  if (latitude < -60 || latitude > 84) return undefined;
  if (longitude >= -170 && longitude < -25) return latitude >= (longitude < -77 ? 7 : 12) ? 'north-america' : 'south-america';
  if (latitude < -10 && longitude >= 110) return 'australasia';
  const southOfEurope = longitude < 12 ? 37.5 : longitude < 26 ? 35 : 41;
  if (longitude >= -25 && longitude < 60 && latitude >= southOfEurope) return longitude >= 45 && latitude < 45 ? 'asia' : 'europe';
  if (longitude >= -25 && longitude < (latitude > 12 ? 34 : 52)) return 'africa';
  return longitude >= 34 ? 'asia' : undefined;
}
