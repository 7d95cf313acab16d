/** Alone in its file: tests run as CommonJS, which has no import.meta. */
export const createLeafWorker = (): Worker => new Worker(new URL('./leaf.worker', import.meta.url), { type: 'module' });
