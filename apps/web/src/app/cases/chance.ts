const barelyPossible = 0.01;

/** "37 %", "< 1 %", "> 99 %" */
export const chanceWord = (share: number): string =>
  share < barelyPossible ? '< 1 %' : share > 1 - barelyPossible ? '> 99 %' : `${Math.round(share * 100)} %`;
