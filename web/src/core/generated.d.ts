/** The functions of the compiled core; the Java class CoreBridge says what each does. */
declare module '*/generated/core.js' {
  export function open(document: string, asFarAsPossible: boolean): string;
  export function complete(document: string): string;
  export function putRun(key: string, run: string): void;
  export function forget(face: string): void;
  export function framesOf(id: string, times: Float64Array): void;
  export function frameOf(id: string, moment: number): number;
  export function frameTime(id: string, frame: number): number;
  export function momentOf(item: string, time: number): number;
  export function footageAt(time: number): Float64Array;
  export function sounds(): string;
  export function soundGain(piece: number, time: number): number;
  export function putScene(id: string, document: string): void;
  export function clearScenes(): void;
  export function showingRefused(open: string, other: string): string;
  export function sceneSize(id: string): Float64Array;
  export function profileLine(points: Float64Array, count: number): Float64Array;
  export function frame(time: number): Float64Array;
  export function preview(edit: string): string;
  export function image(index: number): string;
  export function corners(item: string, time: number): Float64Array;
  export function itemBox(item: string, time: number): Float64Array;
  export function shadowMarks(item: string, effect: string, time: number): Float64Array;
  export function outlinesVersion(): number;
  export function line(path: string, time: number): Float64Array;
  export function points(path: string, time: number): Float64Array;
  export function outlineCount(): number;
  export function outline(index: number): Float64Array;
  export function value(item: string, channel: string, time: number): number;
  export function edit(document: string, edit: string): string;
  export function findings(part: number): string;
  export function editDone(edit: string): string;
  export function journey(item: string, channel: string, count: number): Float64Array;
  export function charted(item: string, channel: string, time: number): number;
  export function band(lettering: string, time: number): Float64Array;
  export function speed(item: string, channel: string, time: number): number;
  export function copied(items: string): string;
  export function frameBox(item: string, time: number): Float64Array;
  export function silhouette(item: string, time: number): string;
  export function keyTimes(item: string): Float64Array;
  export function itemsWithin(x0: number, y0: number, x1: number, y1: number, time: number): string;
  export function itemAt(x: number, y: number, time: number, reach: number): string;
  export function groupTransform(item: string, time: number, turned: boolean): Float64Array;
  export function roundTransform(item: string, time: number): Float64Array;
  export function pinPoints(pin: string, time: number): Float64Array;
  export function pinArea(pin: string, time: number): Float64Array;
  export function pinFrame(pin: string, time: number): number;
  export function followedUntil(pin: string, moment: number, on: boolean): number;
  export function firstSeen(item: string, moment: number): number;
  export function footagePixel(footage: string, time: number, x: number, y: number): Float64Array;
  export function planeMap(item: string, time: number): Float64Array;
  export function planePath(item: string, count: number, time: number): Float64Array;
  export function planeBall(item: string, time: number): Float64Array;
  export function rideMark(item: string, time: number): Float64Array;
  export function dragRide(item: string, time: number, x: number, y: number): Float64Array;
  export function gradientEnds(item: string, time: number): Float64Array;
  export function lineGradientEnds(item: string, effect: string, time: number): Float64Array;
  export function shareOfFrame(x: number, y: number): Float64Array;
  export function dragGradient(item: string, time: number, x: number, y: number): Float64Array;
  export function pictureSquare(item: string, time: number): Float64Array;
  export function traceIn(width: number, height: number, rgb: Float64Array): void;
  export function traceFrom(x: number, y: number): void;
  export function traceTo(x: number, y: number): Float64Array;
  export function motion(item: string, channel: string): string;
  export function outside(lettering: string, from: number, to: number): Float64Array;
  export function keyframes(item: string, channel: string): string;
  export function endSpeeds(item: string, channel: string, index: number): Float64Array;
  export function copyKeys(item: string, channel: string, indexes: Float64Array): string;
  export function loopCheck(): string;
  export function blurred(time: number, shutter: number): Float64Array;
  export function light(): Float64Array;
  export function lightValues(steps: number): Float64Array;
  export function blurSamples(time: number): number;
  export function onFrame(time: number): number;
  export function pathData(path: string, time: number): string;
  export function bounds(path: string, time: number): Float64Array;
  export function framesPerSecond(rate: string): number;
  export function inverse(matrix: Float64Array): Float64Array;
  export function channel(field: string): string;
  export function thumb(path: string): string;
  export function marks(path: string, count: number, time: number): Float64Array;
  export function tenths(path: string, time: number): Float64Array;
  export function comb(path: string, count: number, height: number, time: number): Float64Array;
  export function room(lettering: string, time: number): Float64Array;
  export function tight(lettering: string, time: number): Float64Array;
  export function knots(path: string, time: number): string;
  export function simplified(path: string, tolerance: number, time: number): number;
  export function shapeKinds(): string;
  export function pathPicture(path: string): string;
  export function sketch(path: string): string;
  export function pathParts(data: string): string;
  export function pathsSvg(time: number): string;
  export function handles(lettering: string, time: number): Float64Array;
  export function dragPuck(
    lettering: string,
    time: number,
    x: number,
    y: number,
    across: boolean,
  ): string;
  export function dragSeam(lettering: string, time: number, x: number, y: number): number;
  export function dragShift(lettering: string, time: number, x: number, y: number): number;
  export function dragStop(
    lettering: string,
    start: boolean,
    time: number,
    x: number,
    y: number,
  ): number;
}
