/** Alone in its file: tests run as CommonJS, which has no import.meta. */
export const createCalcWorker = (): Worker => new Worker(new URL('./calc.worker', import.meta.url), { type: 'module' });
export const createPlanWorker = (): Worker => new Worker(new URL('./plan.worker', import.meta.url), { type: 'module' });
export const createSeasonWorker = (): Worker => new Worker(new URL('./season.worker', import.meta.url), { type: 'module' });
