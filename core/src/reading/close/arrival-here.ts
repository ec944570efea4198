import type { Arrival, FoundThere } from '../../job';
import type { JobView } from '../view/job-view';
import { firstWork } from '../check/marks';

type FoundOn = Arrival['found'][number];

/**
 * What is known of ground and glass before work begins: marks and damage that were there, old film, whether
 * the ground was accepted. Only surfaces that get film.
 */
export function foundOnArrival(view: JobView): readonly FoundOn[] {
  return view.surfaces
    .filter(({ id }) => view.applicationsOf(id).length > 0)
    .map((surface): FoundOn => {
      const { id, tag, condition, edgesSeen, changedBy } = surface;
      const ground = view.wallFactsOf(id)?.ground ?? null;
      const old = view.siteFactsOf(id);
      const lines: FoundThere[] = [];
      const say = (kind: FoundThere['kind'], says: string, who: string): void => {
        lines.push({ kind, says, who });
      };
      if (condition === 'chipped' || condition === 'cracked') say('glass', condition, changedBy);
      if (edgesSeen !== null) say('edges', edgesSeen.state, edgesSeen.who);
      for (const part of view.partsOf(id))
        if (part.kind === 'damage') say('damage', part.name, part.changedBy);
      for (const mark of view.marksOf(id))
        if (mark.goneAt === null && isBeforeWork(view, id, mark.firstSeenAt))
          say('mark', mark.note === '' ? mark.look : `${mark.look}: ${mark.note}`, mark.madeBy);
      if (old?.oldFilm === 'film' || old?.oldFilm === 'sticker') say('old film', old.oldFilm, old.changedBy);
      if (ground !== null) say('ground', ground.state, ground.who);
      return {
        ...{ surfaceId: id, tag, lines, ground: ground?.state ?? 'not looked at' },
        photoIds: view
          .photosOf(id)
          .filter(({ takenAt, madeAt }) => isBeforeWork(view, id, takenAt ?? madeAt))
          .map((photo) => photo.id),
      };
    });
}

/** Whether something was seen before anybody worked on the surface. */
export const isBeforeWork = (view: JobView, surfaceId: string, at: string): boolean =>
  Date.parse(at) < firstWork(view, surfaceId);
