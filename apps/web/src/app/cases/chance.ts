const barelyPossible = 0.01;

/** "37 %", "< 1 %", "> 99 %", with spaces that do not break */
export const chanceWord = (share: number): string =>
  share < barelyPossible ? '<\u00a01\u00a0%' : share > 1 - barelyPossible ? '>\u00a099\u00a0%' : `${Math.round(share * 100)}\u00a0%`;
