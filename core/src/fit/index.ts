export { chainBetween, endInWords, meet, type End, type Piece } from './chain.ts';
export { fitFigures, judgeFigure, type FitFigure } from './figures.ts';
export { alwaysMeasured, figureWord, judgeFit, judgePort, portLines, type FitJudged } from './judge.ts';
export { fitMeasured, fitSlice, portLaid, type FitSlice, type PortLaid } from './kinds.ts';
export { COMPARE, compareList, compareOpen, type Compared } from './lines.ts';
export { pinsRead, setPart } from './setKinds.ts';
export { judgePins, pinUses, pinWord, type PinUse } from './pins.ts';
export { judgeSet, meetingParts } from './set.ts';
export { kindsIn, type GoesIn } from './goesIn.ts';
