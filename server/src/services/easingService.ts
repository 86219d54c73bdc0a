import type { Easing, Immutable } from '@humble/core';
import { easingSchema } from '@humble/core/files';
import { type AnswerOf, MAX_EASINGS } from '@humble/core/contract';
import { nanoid } from 'nanoid';
import type { Database } from '../database/openDatabase';
import { Problem } from '../http/problem';

type KeptEasing = Immutable<AnswerOf<'keepEasing'>>;

function readEasing(text: string): Easing | null {
  try {
    return easingSchema.parse(JSON.parse(text));
  } catch {
    return null;
  }
}

export function createEasingService({ easings }: Database) {
  return {
    list: async (): Promise<KeptEasing[]> => {
      const records = await easings.findAll({ order: [['name', 'ASC']] });
      return records.map(({ id, name, easing }) => ({ id, name, easing: readEasing(easing) }));
    },

    /** @throws Problem `too-many-easings` */
    keep: async (name: string, easing: Easing): Promise<KeptEasing> => {
      if ((await easings.count()) >= MAX_EASINGS)
        throw new Problem(
          422,
          'too-many-easings',
          `${MAX_EASINGS} easings are kept already: take some away first.`,
        );
      const id = nanoid();
      await easings.create({ id, name, easing: JSON.stringify(easing) });
      return { id, name, easing };
    },

    /** @throws Problem `easing-not-found` */
    remove: async (id: string): Promise<void> => {
      if ((await easings.destroy({ where: { id } })) === 0)
        throw new Problem(404, 'easing-not-found', 'There is no such easing.');
    },
  };
}

export type EasingService = ReturnType<typeof createEasingService>;
