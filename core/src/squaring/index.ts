export { type GreyPicture, cornerNear } from './corner-near';
export { type FourPoints, type Homography, type Point, homographyOf, mapped } from './homography';
export { type PatternPicture, type SquaredPattern, squarePattern } from './square-pattern';
export { type Became, type MarkedArea, type MarkedPicture, markedArea, whatBecame } from './marked-area';
export { spotNear } from './spot-near';
export { type SquaringAsked, squaredBy } from './squared-by';
