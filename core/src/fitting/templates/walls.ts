import type { WorkTemplate } from './template';

/** Film formed on to block, brick and stucco. Common practice, no published source. */
export const TEXTURED_WALL: WorkTemplate = {
  template: 'textured-wall', version: 1,
  steps: [
    { key: 'sound', what: 'Tape test again, a hand over it, a damp meter where it looks dark. Loose paint stops the work.', why: 'The film holds on to the paint; what holds the paint?', tools: ['tape', 'brush'], cautions: ['oldPaint'], takes: ['work-remeasure'] },
    { key: 'brush', what: 'Brush loose mortar and dust off, with extraction.', why: 'Every grain is a peak that the film stands on.', tools: ['brush'], cautions: ['sanding'], shared: ['dust extractor'], takes: ['work-sand'], air: 'makes dust' },
    { key: 'wash', what: 'Wash: 1 fl oz detergent per US gallon; trisodium phosphate in warm water for grease. Rinse.', why: 'Grease and dust keep adhesive off.', tools: ['bucket', 'sponge'], cautions: ['wetFloor', 'sockets'], takes: ['work-wash'], then: { least: 'wall wash', why: 'the wall must be dry, joints too, before film goes on' } },
    { key: 'hang', what: 'Hang the sheet level, tack the top, liner down a hand at a time, squeegee the peaks.', why: 'It only touches the peaks now: the heat does the rest.', tools: ['level', 'soft squeegee', 'liner bin'], cautions: ['liner', 'ladder', 'largeSheet'], shared: ['ladder'], takes: ['work-handling', 'work-liner'], crew: 2, skill: 'film', needsFit: true, air: 'wants clean air', then: { least: 0, most: 120, why: 'film on the peaks falls off' } },
    { key: 'face', what: 'Gun at 540 °C, 25 mm from the film, aimed at the wall just ahead of the roller, 50 mm a second, strokes overlapping 50 mm. From the closed side to an open one. Level edges before upright ones, the gun pointing away from the edge. Glazed block: no heat on the face.', why: 'The film must be soft when the roller reaches it.', tools: ['heat gun', 'foam roller', 'infrared thermometer'], cautions: ['heatGun', 'ladder'], shared: ['heat gun', 'ladder'], takes: ['work-face'], crew: 2, skill: 'heat', needsFit: true, air: 'wants clean air' },
    { key: 'joints', what: 'Joints after the face, in the planned order: never both level joints before the upright between them. A trapped pocket is pricked at its low end and pressed out.', why: 'Air needs a way out to the last.', tools: ['heat gun', 'joint roller', 'pin'], cautions: ['heatGun'], shared: ['heat gun'], takes: ['work-joints'], skill: 'heat', needsFit: true, then: { least: 15, why: 'final cutting only after it has cooled' } },
    { key: 'seal-edges', what: 'Trim and seal the edges. Press every edge warm once more.', why: 'Edges peel first.', tools: ['snap-off blade', 'roller'], cautions: ['blade'], takes: ['work-trim', 'work-edges'], skill: 'film', needsFit: true },
    { key: 'handover-wall', what: 'Say that it is wiped, not scrubbed, and whom to ring when an edge lifts.', why: 'A lifted edge is small on the first day.', tools: [], cautions: [], takes: ['work-handover'] },
  ],
};

/** Lettering and shapes on texture or canvas. Common practice, no published source. */
export const DECAL: WorkTemplate = {
  template: 'decal', version: 1,
  steps: [
    { key: 'clean-ground', what: 'Brush and wipe the ground. Hard backing behind soft canvas. Trim the border of the decal.', why: 'Touching the peaks only is why it falls off.', tools: ['brush', 'alcohol wipe', 'backing board'], cautions: ['solvent'], takes: ['work-rinse', 'work-protect'] },
    { key: 'hinge', what: 'Place it by eye and level, tape hinge along the top.', why: 'It is laid once.', tools: ['tape', 'level'], cautions: [], takes: ['work-align'], skill: 'film', needsFit: true },
    { key: 'transfer', what: 'Backing off low and slowly: watch that every part leaves it. Lay, press. Transfer tape off before heat, in small pieces, drawn back low while pressing.', why: 'Joined parts pull each other up.', tools: ['soft squeegee'], cautions: ['liner'], takes: ['work-decal'], skill: 'film', needsFit: true, air: 'wants clean air' },
    { key: 'heat-decal', what: 'Heat piece by piece until too hot to touch, only where the film touches, aimed away from loose parts. Dab it down, do not rub. Never a flame.', why: 'Where it does not touch, heat curls it up.', tools: ['heat gun', 'soft pad'], cautions: ['heatGun'], shared: ['heat gun'], takes: ['work-face'], skill: 'heat', needsFit: true },
    { key: 'handover-decal', what: 'Say that it gains strength for about two weeks: hands off.', why: 'It is picked at in its first days.', tools: [], cautions: [], takes: ['work-handover'] },
  ],
};
