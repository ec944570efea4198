export {
  CONTRAST_FORMULAS,
  type PrivacyClass,
  SCENES_SOURCE,
  type Scene,
  type Seen,
  contrastKept,
  isAtLeast,
  privacyClass,
} from './contrast';
export {
  DAYLIGHT_FORMULAS,
  DRAWN_CURTAIN_LIGHT,
  ROOM_SOURCE,
  type Room,
  SOLID_FROST_SHARE,
  USUAL_ROOM,
  daylightFactor,
  daylightWord,
} from './daylight';
export { GLARE_FORMULAS, fadingShare, sunPatch } from './glare-and-fading';
export { isResolved, patternClass, shadowDepth } from './pattern';
export { INNER_SCENES, SCENES, dimmedBy } from './scenes';
