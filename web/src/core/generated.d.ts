/** The functions of the compiled core; the Java class CoreBridge says what each does. */
declare module '*/generated/core.js' {
  export function open(document: string, asFarAsPossible: boolean): string;
  export function putRun(key: string, run: string): void;
  export function frame(time: number): Float64Array;
  export function outlineCount(): number;
  export function outline(index: number): string;
  export function value(item: string, channel: string, time: number): number;
  export function edit(document: string, edit: string): string;
  export function journey(item: string, channel: string, count: number): Float64Array;
  export function charted(item: string, channel: string, time: number): number;
  export function band(lettering: string, time: number): Float64Array;
  export function speed(item: string, channel: string, time: number): number;
  export function itemAt(x: number, y: number, time: number, reach: number): string;
  export function outside(lettering: string): Float64Array;
  export function marks(path: string, count: number): Float64Array;
  export function handles(lettering: string, time: number): Float64Array;
  export function dragPuck(
    lettering: string,
    time: number,
    x: number,
    y: number,
    across: boolean,
  ): string;
  export function dragStop(lettering: string, start: boolean, x: number, y: number): number;
}
