declare module '@mapbox/shelf-pack' {
  export default class ShelfPack {
    constructor(width: number, height: number, options?: { autoResize?: boolean });
    pack(
      bins: readonly { w: number; h: number }[],
      options?: { inPlace?: boolean },
    ): readonly { x: number; y: number; w: number; h: number }[];
  }
}
declare module 'guillotine-packer' {
  export function packer(
    request: {
      binHeight: number;
      binWidth: number;
      items: readonly { name: string; width: number; height: number }[];
    },
    options?: { kerfSize?: number; allowRotation?: boolean },
  ): readonly (readonly unknown[])[] | null;
}
declare module 'bin-pack-with-constraints' {
  export default function pack(
    bins: { width: number; height: number }[],
    options: { maxWidth: number },
  ): { width: number; height: number };
}
/** The package's own main file cannot be imported by name in Node. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export class MaxRectsPacker {
    constructor(
      width: number,
      height: number,
      padding: number,
      options: { smart: boolean; pot: boolean; square: boolean; allowRotation: boolean },
    );
    readonly bins: readonly unknown[];
    addArray(boxes: { width: number; height: number }[]): void;
  }
}
