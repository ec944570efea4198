import type { Place } from '@yellow-pane/core/curved';
import { SHRINK_HIGH, SHRINK_WIDE, type ShrinkDrawing, type ShrinkFold } from './shrink-drawing';

/** Ways of shrinking that move the gun otherwise. */
export type GunWay = 'circles' | 'circles and pull' | 'sweep' | 'flanks' | 'none';

const TURNS = 7;
const POINTS = 14;

/** How the gun goes on the drawing: round a fold from tip to foot, up its flanks, or over all of it. */
export function gunPath(way: GunWay, drawing: ShrinkDrawing, fold: ShrinkFold | undefined): string {
  if (way === 'sweep') return sweepPath(drawing);
  if (fold === undefined || way === 'none') return '';
  const tip = tipOf(fold);
  if (way === 'flanks') return flankPath(fold.foot, tip);
  return circlesPath(fold.foot, tip) + (way === 'circles and pull' ? pullPath(fold) : '');
}

const said = ({ x, y }: Place): string => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** Of a fold that is pinched the tip is where the drawing puts it: the second corner of its triangle. */
function tipOf(fold: ShrinkFold): Place {
  const [, corner = ''] = fold.path.split('L');
  const [x = fold.foot.x, y = fold.foot.y] = corner.split(' ').map(Number);
  return { x, y };
}

/** Small circles that move from the tip to the foot, the nearer the foot the larger. */
function circlesPath(foot: Place, tip: Place): string {
  const count = TURNS * POINTS;
  const places = Array.from({ length: count + 1 }, (_, index) => {
    const share = index / count;
    const round = (2 * Math.PI * index) / POINTS;
    const radius = 4 + 6 * share;
    return {
      x: tip.x + (foot.x - tip.x) * share + radius * Math.cos(round),
      y: tip.y + (foot.y - tip.y) * share + radius * Math.sin(round),
    };
  });
  return `M${places.map(said).join('L')}`;
}

/** An arrow away from the glass: film is pulled lightly where it is warm. */
function pullPath({ foot, edge }: ShrinkFold): string {
  const out = edge === 'top' ? -1 : 1;
  const end = { x: foot.x + 22, y: foot.y + out * 26 };
  return `M${said({ x: end.x, y: foot.y - out * 8 })}L${said(end)}M${said({ x: end.x - 6, y: end.y - out * 8 })}L${said(end)}L${said({ x: end.x + 6, y: end.y - out * 8 })}`;
}

/** Up one flank, over the head, down the other. */
function flankPath(foot: Place, tip: Place): string {
  const wide = 20;
  return `M${said({ x: foot.x - wide, y: foot.y })}L${said({ x: tip.x - 8, y: tip.y })}Q${said({ x: tip.x, y: tip.y + (tip.y - foot.y) * 0.25 })} ${said({ x: tip.x + 8, y: tip.y })}L${said({ x: foot.x + wide, y: foot.y })}`;
}

/** To and fro over the free half, ever nearer to the open edge. */
function sweepPath({ handle, ends }: ShrinkDrawing): string {
  const [left, right] = [...ends].sort((a, b) => a.x - b.x);
  const [from, to] = [(left?.x ?? 0) + 24, (right?.x ?? SHRINK_WIDE) - 24];
  const passes = 5;
  const deep = SHRINK_HIGH - 60 - handle.y;
  const places = Array.from({ length: passes }, (_, index) => {
    const y = handle.y + (deep * (index + 1)) / passes;
    return index % 2 === 0
      ? [
          { x: from, y },
          { x: to, y },
        ]
      : [
          { x: to, y },
          { x: from, y },
        ];
  }).flat();
  return `M${places.map(said).join('L')}`;
}
