export { type ReturnAsk, type Trip, tripsFor } from './trips';
