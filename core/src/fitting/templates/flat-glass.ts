import type { Pause, StepCase, StepTemplate, WorkTemplate } from './template';

const trimsFirst = ({ schools }: StepCase): boolean => schools.trimSchool === 'before squeezing out';

/** Slip dries while one looks away. */
export const OPEN_TIME: Pause = { least: 0, most: 5, why: 'the slip dries: go straight on, or wet again' };
export const ONE_GO: Pause = { least: 0, most: 15, why: 'one go, while water lies under the film' };
const WET_AGAIN: Pause = { least: 0, most: 45, why: 'dust settles on clean glass' };
const STRAIGHT_ON: Pause = { least: 0, most: 5, why: 'wetted just before the film goes on' };

export const SEPARATE_AND_PLACE: readonly StepTemplate[] = [
  {
    key: 'liner-tabs', what: 'Two tape tabs at one corner, sticky sides apart. Pull the liner off between two people, spraying as it opens. Carry the film to the glass, top edge first.',
    why: 'The spray stops static from pulling dust in and the film from sticking to itself.', tools: ['tape', 'pump sprayer', 'liner bin'], cautions: ['liner', 'largeSheet', 'wetFloor'], slip: 'wet glass and film', takes: ['work-handling', 'work-liner'], skill: 'film', needsFit: true, air: 'wants clean air', crew: 2, then: OPEN_TIME,
    when: ({ schools }) => schools.linerSchool === 'tape tabs with two people',
  },
  {
    key: 'liner-halves', what: 'Hold the blank on the glass. Free the top half from the liner, wet glass and adhesive, lay it and fix it lightly. Then strip the lower half with one hand holding the top.',
    why: 'Stripping drags the film: what is fixed lightly above stays where it is.', tools: ['pump sprayer', 'soft squeegee', 'liner bin'], cautions: ['liner', 'wetFloor'], slip: 'wet glass and film', takes: ['work-handling', 'work-liner'], skill: 'film', needsFit: true, air: 'wants clean air', crew: 'large', then: OPEN_TIME,
    when: ({ schools }) => schools.linerSchool === 'halves on the glass',
  },
  {
    key: 'liner-hang', what: 'Hang the blank beside the pane with the liner towards you. Draw the liner down, spraying, and leave the last 25 to 50 mm. Move it to the wet glass by its top corners.',
    why: 'The sheet hangs straight by its own weight and cannot crease.', tools: ['tape', 'pump sprayer', 'liner bin'], cautions: ['liner', 'wetFloor'], slip: 'wet glass and film', takes: ['work-handling', 'work-liner'], skill: 'film', needsFit: true, air: 'wants clean air', crew: 'large', then: OPEN_TIME,
    when: ({ schools }) => schools.linerSchool === 'hang and pull',
  },
];

export const LOCK: readonly StepTemplate[] = [
  { key: 'lock-t', what: 'Mist the face. One stroke across the top, one down the middle. Stay 13 mm off every edge.', why: 'Fixes level and centre together; near an untrimmed edge, capillary action pulls dirt in.', tools: ['pump sprayer', 'hard squeegee'], cautions: ['wetFloor'], takes: ['work-lock'], skill: 'film', needsFit: true, air: 'wants clean air', then: ONE_GO, when: ({ schools }) => schools.lockSchool === 'T' },
  { key: 'lock-centre', what: 'Mist the face. One upright stroke down the middle. Stay 13 mm off every edge.', why: 'Tools slide only on wet film; near an untrimmed edge, capillary action pulls dirt in.', tools: ['pump sprayer', 'hard squeegee'], cautions: ['wetFloor'], takes: ['work-lock'], skill: 'film', needsFit: true, air: 'wants clean air', then: ONE_GO, when: ({ schools }) => schools.lockSchool === 'centre line' },
  { key: 'lock-x', what: 'Mist the face. Stroke from corner to corner both ways. Stay 13 mm off every edge.', why: 'Holds a wide sheet against turning; near an untrimmed edge, capillary action pulls dirt in.', tools: ['pump sprayer', 'hard squeegee'], cautions: ['wetFloor'], takes: ['work-lock'], skill: 'film', needsFit: true, air: 'wants clean air', then: ONE_GO, when: ({ schools }) => schools.lockSchool === 'X' },
  { key: 'lock-quarters', what: 'Mist the face. Press the centre, then the four quarters outwards. Stay 13 mm off every edge.', why: 'Gives the air of a large pane four ways out; near an untrimmed edge, capillary action pulls dirt in.', tools: ['pump sprayer', 'hard squeegee'], cautions: ['wetFloor'], takes: ['work-lock'], skill: 'film', needsFit: true, air: 'wants clean air', then: ONE_GO, when: ({ schools }) => schools.lockSchool === 'quarters' },
];

export const TRIM = {
  what: 'Fresh blade point. Blade 3 mm out of its guard, tilted into the film, or along a hard card at 70°, on the card\'s inner side. From the middle to the corners. Draw the waste off with both hands, then press the edge down again.',
  why: 'A dull point tears. Trimming can lift the edge, so it is pressed again at once.', tools: ['snap-off blade', 'trimming card'], cautions: ['blade'], takes: ['work-trim'], skill: 'film', needsFit: true, then: ONE_GO,
} as const satisfies Partial<StepTemplate>;

/** Flat glass, wet. Common practice, no published source. */
export const FLAT_GLASS: WorkTemplate = {
  template: 'flat-glass',
  version: 1,
  steps: [
    { key: 'protect', what: 'Cover sill and floor. Move hardware, beads and blinds out of the way. Vacuum the dust.', why: 'What falls or blows now is under the film later.', tools: ['cover cloth', 'vacuum cleaner'], cautions: ['sockets'], takes: ['work-protect'] },
    { key: 'remeasure', what: 'Hold the blank against the pane before anything is wet.', why: 'A wrong blank is found here, not on the glass.', tools: ['tape measure'], cautions: [], takes: ['work-remeasure'] },
    { key: 'sealant', what: 'Cut stray sealant out: wet, from top to bottom, scrape.', why: 'Film that rides on sealant lifts at the edge.', tools: ['scraper', 'pump sprayer'], cautions: ['blade', 'coatedFace'], takes: ['work-sealant'], needsFit: true },
    { key: 'clean', what: 'Wet with cleaner. Scrape with a fresh blade held loosely. Scrub with a non-scratch pad, corners too. Feel for nicks and paint with the hand.', why: 'A firm grip digs a blade corner in and scratches. Slip solution is no cleaner: its residue lifts edges.', tools: ['scraper', 'non-scratch pad', 'cleaner'], cautions: ['blade', 'coatedFace', 'wetFloor'], takes: ['work-clean'], needsFit: true },
    { key: 'dry-edges', what: 'Squeegee from top to bottom, wiping the blade each time. Dry the edges with lint-free paper.', why: 'Dirt stays at the edges. Water at the frame drags dirt out of it.', tools: ['soft squeegee', 'lint-free paper'], cautions: ['wetFloor'], takes: ['work-dry-edges'], needsFit: true, then: WET_AGAIN },
    { key: 'final-rinse', what: 'Wet and squeegee once more just before the film goes on. Lightly at the frame.', why: 'Dust settles on glass while the film is got ready.', tools: ['pump sprayer', 'soft squeegee'], cautions: ['wetFloor'], slip: 'wet the pane', takes: ['work-rinse'], needsFit: true, air: 'wants clean air', then: STRAIGHT_ON },
    ...SEPARATE_AND_PLACE,
    { key: 'align', what: 'Slide it level: top by tape marks or factory edge against the frame. Keep one hand on it. Push large air pockets out by finger, then look at the alignment again.', why: 'After the first hard stroke it cannot be moved without a crease.', tools: ['level', 'tape'], cautions: ['largeSheet'], takes: ['work-align'], skill: 'film', crew: 'large', needsFit: true, air: 'wants clean air', then: ONE_GO },
    ...LOCK,
    { key: 'trim', ...TRIM, when: trimsFirst },
    { key: 'squeeze', what: 'From the middle to the nearest edge, strokes overlapping, first light, then hard. Finish one half before the other. Water goes sideways and falls. Do not turn the blade at the edge.', why: 'Water lifted above loose film runs back. Turning the blade stretches the film.', tools: ['hard squeegee', 'pump sprayer'], cautions: ['wetFloor'], takes: ['work-squeeze'], skill: 'film', needsFit: true, then: ONE_GO },
    { key: 'trim-after', ...TRIM, when: (own) => !trimsFirst(own) },
    { key: 'edges', what: 'Blot the edges with a card wrapped in absorbent paper. Second hard pass. Look once round all edges and over the face for bubbles, dirt, light gaps, fingers.', why: 'Moisture left at the edge becomes a finger tomorrow.', tools: ['card', 'absorbent paper', 'torch'], cautions: [], takes: ['work-edges', 'work-look'], skill: 'film', needsFit: true },
    { key: 'handover', what: 'Tell the customer what is normal: small water pockets clear within about 30 sunny days. Say when sealant returns, when to clean, when you look again.', why: 'Customers ring because normal drying pockets look like bubbles.', tools: [], cautions: ['glassAndFilm'], takes: ['work-handover'] },
  ],
};
