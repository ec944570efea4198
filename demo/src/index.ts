export { DEMO_PEOPLE, DEMO_ZONE, demoDays } from './day';
export { EXAMPLE_FILMS } from './example-films';
export { demoChanges, demoOps, DEMO_JOB_ID, DEMO_START, DEMO_BY, DEMO_PERSON_ID } from './demo-changes';
export { DEMO_ROLLS } from './stock';
export { manySurfaces } from './many-surfaces';
export { DEMO_CUSTOMERS } from './customers';
