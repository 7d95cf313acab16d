import { isSpray } from '../isSpray.js';
import { care, inFavour, ruledOut } from './reason.js';
import type { Rule } from './reason.js';

const strongestWind = 15;
const freshWind = 10;
const stillWind = 2;
const warmEvening = 25;

export const nearWater: Rule = ({ intervention }, { waterNear }) =>
  !waterNear || intervention.water === 'none' ? undefined : intervention.water === 'serious' ? ruledOut('water') : care('water');

export const nearAnimals: Rule = ({ intervention }, { animalsNear }) =>
  animalsNear && intervention.animals !== 'none' ? care('animals', { harm: intervention.animals }) : undefined;

/** Air colder than the soil must be says that the soil is most likely too cold as well. */
export const soil: Rule = ({ intervention: { soilC } }, { temperatureC }) =>
  soilC && temperatureC !== undefined && temperatureC < soilC.min ? care('soil-cold', { least: soilC.min, now: temperatureC }) : undefined;

export const dusk: Rule = ({ intervention }, { inFlower, setting }) =>
  intervention.bees === 'slight' && inFlower && setting !== 'indoor' ? care('bees-care') : undefined;

export const weather: Rule = ({ intervention }, { forecast, setting: where }) => {
  if (!isSpray(intervention) || where !== 'outdoor' || !forecast) return undefined;
  const { windKmh: kmh } = forecast;
  if (kmh !== undefined && kmh > strongestWind) return ruledOut('wind', { kmh });
  if (kmh !== undefined && kmh > freshWind) return care('wind', { kmh });
  if (kmh !== undefined && kmh < stillWind && (forecast.maxC ?? 0) >= warmEvening) return care('still-air', { kmh });
  const { rainInHours } = forecast;
  return rainInHours !== undefined && intervention.rainFastHours !== undefined && rainInHours < intervention.rainFastHours
    ? care('rain', { hours: rainInHours, needs: intervention.rainFastHours })
    : undefined;
};

export const frost: Rule = ({ intervention: { rung } }, { daysToFrost }) =>
  rung === 'none' && daysToFrost !== undefined && daysToFrost <= 14 ? inFavour('frost-near', { days: daysToFrost }) : undefined;
