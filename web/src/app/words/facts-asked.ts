import { WALL_TEXTURES } from '@yellow-pane/core/job';
import type { Fact } from '../fields/facts';

const KNOWN = ['unknown', 'yes', 'no'] as const;

/**
 * What the survey asks about reaching and shading a surface. How-to lines: common practice, no published
 * source.
 */
export const SITE_FACTS: readonly Fact[] = [
  { key: 'storey', kind: 'number', word: 'Storey', unit: '0 = ground', least: -10, most: 200 },
  { key: 'accessHeight_nm', kind: 'length', word: 'Lower edge above the floor' },
  {
    key: 'reach',
    kind: 'choice',
    word: 'Reach',
    options: ['unknown', 'hand, card and gun', 'hand and card', 'not everywhere'],
    how: 'Hold hand, card and heat gun at every corner before promising anything.',
  },
  {
    key: 'trimOverlap_nm',
    kind: 'length',
    word: 'Trim over the glass',
    how: 'Slide a thin card under the trim until it stops: that much of the glass is hidden and must be filmed too.',
  },
  { key: 'obstacles', kind: 'text', word: 'In the way' },
  { key: 'floor', kind: 'text', word: 'Floor to stand on' },
  { key: 'power', kind: 'choice', word: 'Power at hand', options: KNOWN },
  {
    key: 'crew',
    kind: 'choice',
    word: 'Done by',
    options: ['unknown', 'one person', 'two people', 'refer it'],
  },
  {
    key: 'filmFace',
    kind: 'choice',
    word: 'Face that may take film',
    options: ['unknown', 'room side', 'outside', 'both', 'none'],
    how: 'A coating you can feel or see in a torch reflection bars that face.',
  },
  { key: 'sealantToCut', kind: 'choice', word: 'Sealant to cut first', options: KNOWN },
  {
    key: 'rescueGlass',
    kind: 'choice',
    word: 'Rescue or escape glass',
    options: KNOWN,
    how: 'Glass that people leave or are fetched by: a sign, a hammer beside it, an exit of the plan. Ask the operator.',
  },
  {
    key: 'oldFilm',
    kind: 'choice',
    word: 'Old film on it',
    options: ['unknown', 'none', 'film', 'sticker'],
    how: 'A finger nail along the edge finds the step of old film.',
  },
  { key: 'oldFilmArea_m2', kind: 'number', word: 'How much of it', unit: 'm²', least: 0, most: 1000 },
  { key: 'oldFilmYears', kind: 'number', word: 'How old', unit: 'years', least: 0, most: 100 },
  {
    key: 'residue',
    kind: 'choice',
    word: 'Adhesive that stays',
    options: ['unknown', 'none', 'some', 'much'],
    how: 'Lift a corner and feel the glass under it: dry, or sticky.',
  },
  { key: 'tilt_deg', kind: 'number', word: 'Tilt', unit: '° from level', least: 0, most: 180 },
  { key: 'overhangDepth_nm', kind: 'length', word: 'Roof or balcony stands out' },
  { key: 'overhangAbove_nm', kind: 'length', word: 'Its edge above the glass' },
  { key: 'revealDepth_nm', kind: 'length', word: 'Glass lies back in the wall' },
  {
    key: 'leftFinDepth_nm',
    kind: 'length',
    word: 'Wall or fin stands out, left',
    how: 'Left and right as the surface is drawn.',
  },
  { key: 'leftFinBeside_nm', kind: 'length', word: 'Off the left edge of the glass' },
  { key: 'rightFinDepth_nm', kind: 'length', word: 'Wall or fin stands out, right' },
  { key: 'rightFinBeside_nm', kind: 'length', word: 'Off the right edge of the glass' },
  {
    key: 'sun',
    kind: 'choice',
    word: 'Sun on it',
    options: ['unknown', 'reaches it', 'never'],
    how: 'Never: at no hour of any day, as within a hall or behind another wall. With a bearing it is calculated.',
  },
  {
    key: 'blind',
    kind: 'choice',
    word: 'Blind or curtain behind',
    options: ['unknown', 'none', 'vented', 'close or closed'],
    how: 'Closer than 50 mm, or without a gap above and below, counts as close.',
  },
  {
    key: 'heatOutlet',
    kind: 'choice',
    word: 'Heater or warm air',
    options: ['unknown', 'none', 'near or aimed at the glass'],
    how: 'Nearer than 300 mm, or blowing at the glass.',
  },
];

export const WALL_FACTS: readonly Fact[] = [
  {
    key: 'texture',
    kind: 'choice',
    word: 'Texture',
    options: WALL_TEXTURES,
  },
  {
    key: 'bond',
    kind: 'choice',
    word: 'Joint pattern',
    options: ['unknown', 'none', 'running', 'stack'],
    how: 'Running: upright joints stand over the middle of the block below. Stack: they run through.',
  },
  { key: 'unitWidth_nm', kind: 'length', word: 'Block or tile, wide' },
  {
    key: 'unitHeight_nm',
    kind: 'length',
    word: 'Block or tile, high',
    how: 'Joints are drawn as if whole blocks began at the lower left: where yours begin is not known.',
  },
  { key: 'jointWidth_nm', kind: 'length', word: 'Joint width' },
  {
    key: 'jointDepth_nm',
    kind: 'length',
    word: 'Joint depth',
    how: 'Lay a card across the joint and push a rule down beside it.',
  },
  { key: 'paint', kind: 'choice', word: 'Paint', options: ['unknown', 'none', 'matt', 'satin', 'gloss'] },
  {
    key: 'state',
    kind: 'choice',
    word: 'State',
    options: ['unknown', 'sound', 'flaking', 'dusty', 'damp'],
    how: 'Press tape on and pull it off; wipe with a dark cloth; feel for damp low down.',
  },
  {
    key: 'tapeTest',
    kind: 'choice',
    word: 'Tape test',
    options: ['not done', 'held', 'paint came off'],
    how: 'Press strong tape on with a card, wait a minute, tear it off square to the wall, look at its back.',
  },
  {
    key: 'flatness_nm',
    kind: 'length',
    word: 'Hollow under a straight-edge',
    how: 'Straight-edge of 2 m across the wall, the largest gap beneath it.',
  },
  { key: 'moisture', kind: 'number', word: 'Damp meter shows', unit: '%', least: 0, most: 100 },
  { key: 'ground_C', kind: 'temperature', word: 'Temperature of the ground', least: -40, most: 80 },
  {
    key: 'paintAge',
    kind: 'choice',
    word: 'Age of the paint',
    options: ['unknown', 'under 30 days', 'older'],
  },
  {
    key: 'paintKind',
    kind: 'choice',
    word: 'Kind of paint',
    options: ['unknown', 'ordinary', 'silicone or anti-graffiti'],
    how: 'A drop of water that stands up as a bead for minutes tells of silicone.',
  },
  {
    key: 'leftCorner',
    kind: 'choice',
    word: 'Left end',
    options: ['unknown', 'inside corner', 'outside corner', 'free edge'],
  },
  {
    key: 'rightCorner',
    kind: 'choice',
    word: 'Right end',
    options: ['unknown', 'inside corner', 'outside corner', 'free edge'],
  },
];

/** Of columns and fixtures: what film holds on, without joints. */
export const BODY_FACTS: readonly Fact[] = WALL_FACTS.filter(({ key }) =>
  ['texture', 'paint', 'state', 'tapeTest', 'moisture', 'ground_C', 'paintAge', 'paintKind'].includes(key),
);

export const UNIT_FACTS: readonly Fact[] = [
  {
    key: 'glazing',
    kind: 'choice',
    word: 'Glazing',
    options: ['unknown', 'single', 'double', 'triple'],
    how: 'Hold a flame or torch to the glass: two reflections a pane. Four are double, six are triple.',
  },
  {
    key: 'frame',
    kind: 'choice',
    word: 'Frame',
    options: ['unknown', 'metal', 'metal with thermal break', 'wood', 'plastic', 'rubber seal', 'masonry'],
  },
  {
    key: 'edge',
    kind: 'choice',
    word: 'Edge of the glass',
    options: ['unknown', 'sealant', 'gasket', 'rebate', 'exposed'],
    how: 'Look along the frame: soft bead, rubber strip, hidden in a groove, or bare.',
  },
  {
    key: 'edgeFinish',
    kind: 'choice',
    word: 'Its edge, looked at',
    options: ['unseen', 'clean-cut', 'seamed', 'polished', 'damaged'],
    how: 'With a bead off, or by torch along the gap: smooth is seamed or polished, sharp and even is clean-cut, any shell or nick is damaged. Most are unseen.',
  },
  {
    key: 'edgeDepth_nm',
    kind: 'length',
    word: 'Frame covers the glass by',
    how: 'Slide a thin card in beside the gasket until it stops. Over 20 mm keeps the edge colder.',
  },
];

export const PANE_FACTS: readonly Fact[] = [
  {
    key: 'treatment',
    kind: 'choice',
    word: 'Kind',
    options: [
      'unknown',
      'annealed',
      'toughened',
      'heat strengthened',
      'laminated',
      'wired',
      'patterned',
      'acrylic',
      'polycarbonate',
    ],
    how: 'Acrylic and polycarbonate sound dull and feel warm. Toughened carries a stamp in a corner; through polarising glasses it shows spots. Laminated shows a line in its edge. No stamp proves nothing.',
  },
  {
    key: 'thickness_nm',
    kind: 'length',
    word: 'Thickness',
    how: 'Gauge on an open edge, or half the distance between the two reflections of one pane.',
  },
  {
    key: 'tint',
    kind: 'choice',
    word: 'Colour',
    options: ['unknown', 'clear', 'low iron', 'bronze', 'grey', 'green'],
    how: 'Hold white paper behind it.',
  },
  {
    key: 'coating',
    kind: 'choice',
    word: 'Coating',
    options: ['unknown', 'none', 'low-e, hard', 'low-e, soft', 'reflective'],
    how: 'One reflection of a flame has another colour than the rest: coated. Soft low-e lies between panes, hard can be felt.',
  },
  {
    key: 'coatedSide',
    kind: 'choice',
    word: 'Coated face',
    options: ['unknown', 'outer', 'inner'],
    how: 'Count which of the reflections, from outside, has the other colour: first of a pane is its outer face.',
  },
  { key: 'gapAfter_nm', kind: 'length', word: 'Gap behind it' },
  {
    key: 'gasAfter',
    kind: 'choice',
    word: 'Gas in the gap',
    options: ['unknown', 'air', 'argon', 'krypton'],
    how: 'The spacer or the order says; from outside nobody can tell.',
  },
];

export const PLACE_FACTS: readonly Fact[] = [
  { key: 'name', kind: 'text', word: 'Name' },
  { key: 'kind', kind: 'choice', word: 'Is a', options: ['building', 'vehicle', 'facade', 'side', 'room'] },
  { key: 'latitude_deg', kind: 'number', word: 'Latitude', unit: '° north', least: -90, most: 90 },
  { key: 'longitude_deg', kind: 'number', word: 'Longitude', unit: '° east', least: -180, most: 180 },
  { key: 'altitude_m', kind: 'number', word: 'Altitude', unit: 'm', least: -500, most: 9000 },
];
