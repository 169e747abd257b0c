export { boundsOf, textBox, type Box } from './bounds';
export { MARK_SHAPES, insideWidth, outsideWidth } from './marks';
export { ADVANCE, textWidth } from './metrics';
export { NAME_INSET, NAME_SIZE, STEP, type Primitive, type Weight } from './picture';
export { drawPort, hasOverbar, numberText } from './port';
export { drawShape, edgeInset, SHAPES, shapeOf, type BodyDef, type ShapeName, type ShapePort } from './bodies';
export { drawBody, drawLabels, drawStrokes, drawUnit, labelText, type Labelled } from './unit';
