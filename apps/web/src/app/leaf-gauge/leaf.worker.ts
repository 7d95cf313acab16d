import { gaugeLeaf, NoLeaf } from '@field-nurse/core/leaf';
import type { GaugeOptions, LeafReading, Picture } from '@field-nurse/core/leaf';
import { expose } from 'comlink';

/** A reading, or why the picture can't be measured. */
export type GaugeAnswer = { readonly reading: LeafReading } | { readonly noLeaf: string };

const answers = {
  /** @param progress - called with the share done, 0 to 1 */
  gauge: (picture: Picture, options: Omit<GaugeOptions, 'onProgress'>, progress: (share: number) => void): GaugeAnswer => {
    try {
      return { reading: gaugeLeaf(picture, { ...options, onProgress: progress }) };
    } catch (error) {
      if (error instanceof NoLeaf) return { noLeaf: error.message };
      throw error;
    }
  },
};

export type LeafWorker = typeof answers;

expose(answers);
