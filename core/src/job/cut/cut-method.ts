/** By way of fitting: each has its own allowances. */
export type CutMethod =
  | 'trim in place'
  | 'pre-squared'
  | 'dry-fitted'
  | 'cut to order'
  | 'cut to outline'
  | 'security'
  | 'decor'
  | 'column'
  | 'wrapped edges'
  | 'furrow girth'
  | 'curved, shrunk'
  | 'textured wall';

export const CUT_METHODS = [
  'trim in place',
  'pre-squared',
  'dry-fitted',
  'cut to order',
  'cut to outline',
  'security',
  'decor',
  'column',
  'wrapped edges',
  'furrow girth',
  'curved, shrunk',
  'textured wall',
] as const satisfies readonly CutMethod[];
