import type { FieldsOf, JobTable } from '@yellow-pane/core/job';

type KeysOf<Table extends JobTable> = readonly (keyof FieldsOf<Table> & string)[];

/** The field names of each table, so that the page need not carry the whole of the schemas. A spec holds them to the contracts. */
export const ROW_KEYS: { readonly [Table in JobTable]: KeysOf<Table> } = {
  job: ['name', 'entryUnit', 'archived'],
  place: ['parentId', 'kind', 'name', 'bearing_deg', 'latitude_deg', 'longitude_deg', 'altitude_m', 'horizon', 'movable', 'position'],
  filmBrief: ['placeId', 'keepView', 'hiddenByDay', 'hiddenByNight', 'lessHeat', 'lessGlare', 'protectFurnishings', 'slowBreakIn', 'keepWarmth', 'look', 'lightKeptLeast', 'heatOffLeast', 'roomWidth_nm', 'roomDepth_nm', 'roomHeight_nm', 'coldest_C', 'hottest_C'],
  glassUnit: ['name', 'glazing', 'frame', 'edge', 'edgeFinish', 'edgeDepth_nm'],
  glassPane: ['unitId', 'position', 'treatment', 'thickness_nm', 'tint', 'coating', 'coatedSide', 'gapAfter_nm', 'gasAfter'],
  surface: ['placeId', 'unitId', 'tag', 'name', 'kind', 'shape', 'corners', 'seenFrom', 'condition', 'remark', 'position', 'sameAsId', 'atX_nm', 'atY_nm'],
  siteFacts: ['surfaceId', 'storey', 'accessHeight_nm', 'reach', 'trimOverlap_nm', 'obstacles', 'floor', 'power', 'crew', 'filmFace', 'sealantToCut', 'tilt_deg', 'overhangDepth_nm', 'overhangAbove_nm', 'revealDepth_nm', 'leftFinDepth_nm', 'leftFinBeside_nm', 'rightFinDepth_nm', 'rightFinBeside_nm', 'blind', 'heatOutlet'],
  wallFacts: ['surfaceId', 'texture', 'bond', 'unitWidth_nm', 'unitHeight_nm', 'jointWidth_nm', 'jointDepth_nm', 'paint', 'state', 'paintAge', 'paintKind', 'tapeTest', 'leftCorner', 'rightCorner'],
  part: ['surfaceId', 'kind', 'name', 'x_nm', 'y_nm', 'width_nm', 'height_nm', 'depth_nm', 'form', 'count', 'takenOffAt', 'putBackAt', 'remark', 'position'],
  photo: ['surfaceId', 'partId', 'caption', 'width_px', 'height_px', 'bytes', 'position'],
  measure: ['surfaceId', 'kind', 'fromPoint', 'toPoint', 'text', 'unit', 'value_nm', 'instrument', 'sd_nm'],
  application: ['surfaceId', 'side', 'filmId', 'method', 'linerSchool', 'lockSchool', 'trimSchool', 'over', 'position'],
  seamChoice: ['applicationId', 'kind', 'placing', 'match', 'firstDrop'],
  jobAllowance: ['method', 'top_nm', 'right_nm', 'bottom_nm', 'left_nm'],
  cutPlan: ['filmId', 'mode', 'stages', 'gap_nm', 'endWaste_nm', 'mostSheet_nm', 'objective', 'liner', 'edgeMust', 'lengthUsed_nm', 'bound_nm', 'filmCost', 'cost', 'filmBound', 'stopped'],
  cutRoll: ['planId', 'stockId', 'what', 'label', 'lot', 'width_nm', 'length_nm', 'used_nm', 'leftEdge', 'rightEdge', 'position', 'ticks', 'bookedAt'],
  cutPiece: ['planId', 'rollId', 'applicationId', 'drop', 'dropOf', 'tag', 'position', 'level', 'x_nm', 'y_nm', 'across_nm', 'along_nm', 'turned', 'flipped', 'phase_nm', 'outline', 'notch_nm', 'sector', 'topAlong', 'pinned', 'inputsHash', 'cutAt', 'spoiledAt'],
  offcut: ['cutRollId', 'parentId', 'filmId', 'label', 'lot', 'width_nm', 'length_nm', 'perMetre', 'leftEdge', 'rightEdge', 'where'],
  stockTake: ['cutRollId', 'stockId', 'length_nm', 'reason'],
  daySettings: ['firstDay', 'days', 'restDays', 'zone', 'indoor_C', 'indoorHumidity', 'bearingDoubt_deg', 'comeFrom_C', 'rollWrap', 'coreRadius_mm', 'slip', 'primer', 'shrink', 'tools', 'packed'],
  crewMember: ['name', 'skills', 'begins', 'ends', 'breakBegins', 'breakEnds', 'position'],
  plannedStep: ['applicationId', 'template', 'step', 'templateVersion', 'startsAt', 'endsAt', 'steps', 'people', 'pinned'],
  workRecord: ['applicationId', 'template', 'step', 'templateVersion', 'startedAt', 'doneAt', 'note'],
};
