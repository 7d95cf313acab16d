import type { Trap } from '@field-nurse/contract';

export const trapKindWords: Readonly<Record<Trap['kind'], string>> = {
  'sticky-card': 'Sticky card',
  pheromone: 'Scent trap',
  slug: 'Shelter for slugs or earwigs',
  snap: 'Snap trap in a box',
  fly: 'Fly trap',
};

/** What must be minded with each kind. */
export const trapCautions: Readonly<Record<Trap['kind'], string>> = {
  'sticky-card': 'Hang cards where no bird or bat can touch them, and take them down while flying helpers are let out.',
  pheromone: 'Handle the lure with gloves, and keep lures of different kinds apart.',
  slug: 'Look underneath before you tip it out: ground beetles and toads shelter there too.',
  snap: 'Always in a closed box that children, pets, hens and birds can not reach into. Look every day. No poison. Gloves for droppings and bodies. Wildlife laws tell what may be caught.',
  fly: 'Away from doors and from where food is handled.',
};

/** What the grower names most often in each kind. */
export const usualCatch: Readonly<Record<Trap['kind'], string>> = {
  'sticky-card': 'flies and small insects',
  pheromone: 'moths',
  slug: 'slugs',
  snap: 'rats or mice',
  fly: 'flies',
};
