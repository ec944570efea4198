import type { DiagnosedLook } from '../../job';
import type { LookTable } from '../look-table';
import { DRY_BUBBLES } from './dry-bubbles';
import { WATER_POCKET } from './water-pocket';
import { LIFTING_EDGE } from './lifting-edge';
import { NIB } from './nib';
import { CREASE } from './crease';
import { FINGER } from './finger';
import { LIGHT_GAP } from './light-gap';
import { SCRATCH } from './scratch';
import { HAZE } from './haze';
import { GLUE_LINE } from './glue-line';
import { JOINT_TRAP } from './joint-trap';
import { SEAM_OPEN } from './seam-open';
import { GLASS_CRACK } from './glass-crack';

/**
 * What makes each look, what tells the causes apart, what mends it. Every figure is our judgement: it orders
 * questions, and confirmed cases overwrite it.
 */
export const LOOK_TABLES: Readonly<Record<DiagnosedLook, LookTable>> = {
  dryBubbles: DRY_BUBBLES,
  waterPocket: WATER_POCKET,
  liftingEdge: LIFTING_EDGE,
  nib: NIB,
  crease: CREASE,
  finger: FINGER,
  lightGap: LIGHT_GAP,
  scratch: SCRATCH,
  haze: HAZE,
  glueLine: GLUE_LINE,
  jointTrap: JOINT_TRAP,
  seamOpen: SEAM_OPEN,
  glassCrack: GLASS_CRACK,
};

/** Of the tables: what was confirmed under others was judged by others. */
export const TABLE_VERSION = 1;
