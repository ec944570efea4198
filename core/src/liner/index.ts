export {
  type Holds,
  type LinerAsked,
  type LinerPart,
  type LinerPerson,
  type LinerPlan,
  type LinerRoom,
  type LinerSpot,
  type LinerTabs,
  type LinerWay,
  LINER_WAYS,
  linerPlan,
} from './liner-plan';
