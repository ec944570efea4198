export { type GreyPicture, cornerNear } from './corner-near';
export { type FourPoints, type Homography, type Point, homographyOf, mapped } from './homography';
export { type PatternPicture, type SquaredPattern, squarePattern } from './square-pattern';
