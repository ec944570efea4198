import type { Point } from '@yellow-pane/core/measure';
import type { IEntity } from 'dxf-parser';

/** A drawing as its parser gives it, as far as it is asked. */
export interface Drawing {
  readonly entities: readonly IEntity[];
  readonly header?: Readonly<Record<string, unknown>>;
  readonly blocks?: Readonly<Record<string, Block | undefined>>;
  readonly tables?: {
    readonly layer?: {
      readonly layers?: Readonly<
        Record<string, { readonly visible?: boolean; readonly frozen?: boolean } | undefined>
      >;
    };
  };
}
interface Block {
  readonly entities?: readonly IEntity[];
  readonly position?: Point;
}
interface Insert extends IEntity {
  readonly name?: string;
  readonly position?: Point;
  readonly xScale?: number;
  readonly yScale?: number;
  readonly rotation?: number;
  readonly columnCount?: number;
  readonly rowCount?: number;
  readonly columnSpacing?: number;
  readonly rowSpacing?: number;
}

/** One part of a drawing, where it stands in it. */
export interface DrawingPart {
  readonly entity: IEntity;
  readonly layer: string;
  /** From where the part is written to where it is placed, in drawing units. */
  readonly place: (point: Point) => Point;
  /** How much larger it is placed; undefined: not alike in both directions. */
  readonly scale: number | undefined;
}

interface DrawingParts {
  readonly parts: readonly DrawingPart[];
  /** What was left out, and why. */
  readonly notes: readonly string[];
}

const AS_WRITTEN = (point: Point): Point => point;
/** A block that is placed in rows and columns may be placed so often. */
const MOST_COPIES = 500;
const MOST_PARTS = 40_000;

/**
 * Every part that is to be seen, in the drawing's own space: blocks are opened one level deep. Layers that
 * are off or frozen and the sheet of paper are left out, and named.
 */
export function drawingParts(drawing: Drawing): DrawingParts {
  const layers = drawing.tables?.layer?.layers ?? {};
  const isHidden = (layer: string): boolean =>
    layers[layer]?.visible === false || layers[layer]?.frozen === true;
  const hidden = new Map<string, number>();
  const parts: DrawingPart[] = [];
  let [onPaper, deeper, unknown] = [0, 0, 0];
  const add = (part: DrawingPart): void => {
    if (isHidden(part.layer)) hidden.set(part.layer, (hidden.get(part.layer) ?? 0) + 1);
    else if (parts.length < MOST_PARTS) parts.push(part);
  };
  for (const entity of drawing.entities) {
    if ((entity as { readonly inPaperSpace?: boolean }).inPaperSpace === true) {
      onPaper += 1;
      continue;
    }
    if (entity.type !== 'INSERT') {
      add({ entity, layer: entity.layer, place: AS_WRITTEN, scale: 1 });
      continue;
    }
    const insert = entity as Insert;
    const block = drawing.blocks?.[insert.name ?? ''];
    if (block?.entities === undefined) unknown += 1;
    else if (isHidden(insert.layer)) hidden.set(insert.layer, (hidden.get(insert.layer) ?? 0) + 1);
    else
      for (const own of block.entities) {
        if (own.type === 'INSERT') deeper += 1;
        else
          for (const placed of placings(insert, block))
            add({ entity: own, layer: own.layer === '0' ? insert.layer : own.layer, ...placed });
      }
  }
  const count = (many: number): string => `${many} ${many === 1 ? 'part' : 'parts'}`;
  return {
    parts,
    notes: [
      ...[...hidden].map(
        ([layer, many]) => `Left out: ${count(many)} on the layer ${layer}, which is off or frozen.`,
      ),
      ...(onPaper === 0 ? [] : [`Left out: ${count(onPaper)} of the sheet of paper.`]),
      ...(deeper === 0
        ? []
        : [
            `Left out: ${deeper} ${deeper === 1 ? 'block' : 'blocks'} within blocks. Take them apart in the drawing.`,
          ]),
      ...(unknown === 0
        ? []
        : [`Left out: ${unknown} ${unknown === 1 ? 'block' : 'blocks'} the drawing does not hold.`]),
    ],
  };
}

/** Where the copies of a block stand. */
function placings(insert: Insert, block: Block): readonly Pick<DrawingPart, 'place' | 'scale'>[] {
  const { x: atX = 0, y: atY = 0 } = insert.position ?? {};
  const { x: baseX = 0, y: baseY = 0 } = block.position ?? {};
  const [sx, sy] = [insert.xScale ?? 1, insert.yScale ?? 1];
  const angle = ((insert.rotation ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [columns, rows] = [Math.max(1, insert.columnCount ?? 1), Math.max(1, insert.rowCount ?? 1)];
  const scale = Math.abs(Math.abs(sx) - Math.abs(sy)) < 1e-9 ? Math.abs(sx) : undefined;
  return Array.from({ length: Math.min(MOST_COPIES, columns * rows) }, (_, index) => {
    const [column, row] = [index % columns, Math.floor(index / columns)];
    const [offX, offY] = [column * (insert.columnSpacing ?? 0), row * (insert.rowSpacing ?? 0)];
    return {
      scale,
      place: ({ x, y }: Point): Point => {
        const [ownX, ownY] = [(x - baseX) * sx + offX, (y - baseY) * sy + offY];
        return { x: atX + ownX * cos - ownY * sin, y: atY + ownX * sin + ownY * cos };
      },
    };
  });
}
