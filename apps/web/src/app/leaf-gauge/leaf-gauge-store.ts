import { computed, inject } from '@angular/core';
import type { LeafReading, Picture } from '@field-nurse/core/leaf';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import { NotAPhoto } from '../gardens/shrink-photo';
import { Gauge } from './gauge';
import type { Ruler } from './leaf-view';
import { openPicture } from './open-picture';

type Blade = 'simple' | 'lobed';

interface LeafGaugeState {
  readonly picture: Picture | null;
  /** the file that it was opened from */
  readonly file: File | null;
  /** where the margin is bitten, it is drawn in on a simple blade only */
  readonly blade: Blade;
  /** percent damaged, by eye; none before it was rated */
  readonly eyed: number | null;
  readonly ruler: Ruler | null;
  readonly lengthMm: number;
  /** how far the measuring has come, 0 to 1; none while nothing is measured */
  readonly share: number | null;
  readonly reading: LeafReading | null;
  readonly showOverlay: boolean;
  readonly fault: string;
}

const begin: LeafGaugeState = {
  picture: null,
  file: null,
  blade: 'simple',
  eyed: null,
  ruler: null,
  lengthMm: 100,
  share: null,
  reading: null,
  showOverlay: true,
  fault: '',
};
const leastRulerPixels = 10;

/** One leaf on the gauge: its picture, what the eye said, and what was measured. */
export const LeafGaugeStore = signalStore(
  withState(begin),
  withComputed(({ ruler, lengthMm }) => ({
    /** none without a ruler, `bad` where its length can not be */
    mmPerPixel: computed(() => {
      const ends = ruler();
      if (!ends) return undefined;
      const pixels = Math.hypot(ends.to[0] - ends.from[0], ends.to[1] - ends.from[1]);
      return pixels >= leastRulerPixels && lengthMm() >= 1 && lengthMm() <= 2000 ? lengthMm() / pixels : ('bad' as const);
    }),
  })),
  withMethods((store, gauge = inject(Gauge)) => ({
    /** Lay another leaf on the gauge. */
    async take(file: File, blade: Blade): Promise<void> {
      patchState(store, { fault: '' });
      try {
        const { showOverlay, lengthMm } = begin;
        patchState(store, { ...begin, showOverlay, lengthMm, picture: await openPicture(file), file, blade });
      } catch (error) {
        if (!(error instanceof NotAPhoto)) throw error;
        patchState(store, { fault: error.message });
      }
    },
    takeAway: () => patchState(store, { picture: null, file: null, reading: null }),
    choose: (blade: Blade) => patchState(store, { blade }),
    eye: (percent: number) => patchState(store, { eyed: percent }),
    layRuler(on: boolean): void {
      const { width, height } = store.picture()!;
      const ruler: Ruler | null = on ? { from: [width * 0.2, height * 0.9], to: [width * 0.8, height * 0.9] } : null;
      patchState(store, { ruler, reading: null });
    },
    moveRuler: (ruler: Ruler | null) => patchState(store, { ruler }),
    setLength: (lengthMm: number) => patchState(store, { lengthMm }),
    show: (showOverlay: boolean) => patchState(store, { showOverlay }),
    measureAgain: () => patchState(store, { reading: null }),
    say: (fault: string) => patchState(store, { fault }),
    async measure(): Promise<void> {
      const [picture, mmPerPixel, blade] = [store.picture()!, store.mmPerPixel(), store.blade()];
      if (mmPerPixel === 'bad')
        return patchState(store, { fault: 'The known length is from 1 to 2000 millimetres, and the ends of the ruler lie apart.' });
      patchState(store, { fault: '', share: 0 });
      try {
        const answer = await gauge.measure(picture, { blade, mmPerPixel }, (share) => patchState(store, { share }));
        if (answer) patchState(store, 'noLeaf' in answer ? { fault: answer.noLeaf } : { reading: answer.reading });
      } catch {
        patchState(store, { fault: 'The leaf could not be measured on this device. Try a smaller picture.' });
      } finally {
        patchState(store, { share: null });
      }
    },
    stop: () => gauge.stop(),
  })),
  withHooks({ onDestroy: ({ stop }) => stop() }),
);
