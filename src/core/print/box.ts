/** Colours of a sheet by their part; `inInk` says what becomes of them on thin or black ink. */
export const hues = ['teal', 'vermilion', 'indigo', 'ochre', 'plum', 'moss'] as const;
export type Hue = (typeof hues)[number];
export type Tone = 'ink' | 'soft' | 'pale' | 'wash' | 'white' | Hue;

export type Point = readonly [x: number, y: number];

/**
 * One thing on a sheet, in millimetres from its top left corner. Everything that is drawn, on screen and on paper, is a list of
 * these and nothing else.
 */
export interface Box {
  readonly kind: 'text' | 'rect' | 'ellipse' | 'path' | 'card' | 'cut';
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly text?: string;
  /** Of letters, in points. */
  readonly size?: number;
  readonly bold?: boolean;
  readonly align?: 'start' | 'middle' | 'end';
  /** Degrees clockwise about the middle of the box; text only. */
  readonly turned?: number;
  readonly fill?: Tone;
  readonly line?: Tone;
  /** Of the line, in millimetres. */
  readonly width?: number;
  readonly dashed?: boolean;
  /** Corners of a path. */
  readonly points?: readonly Point[];
  readonly closed?: boolean;
  /** Stands on a blank sheet too: a frame, a line to write on. */
  readonly frame?: boolean;
}

export const mmPerPoint = 25.4 / 72;
/** Height of capitals and figures of the face, in ems (Andika: 1485 of 2048). */
export const capHeight = 1485 / 2048;

/** Where the foot of the letters stands: figures stand in the middle of their box. */
export const baselineOf = (b: Pick<Box, 'y' | 'h' | 'size'>): number => b.y + b.h / 2 + (b.size! * mmPerPoint * capHeight) / 2;

/** Lengths are kept to a thousandth of a millimetre, so that sheets compare. */
export const mm = (x: number): number => Math.round(x * 1000) / 1000 + 0;

type Style = Pick<Box, 'fill' | 'line' | 'width' | 'dashed' | 'frame'>;

export const rect = (x: number, y: number, w: number, h: number, style: Style = {}): Box => ({
  kind: 'rect',
  x: mm(x),
  y: mm(y),
  w: mm(w),
  h: mm(h),
  ...style,
});
export const circle = (cx: number, cy: number, r: number, style: Style = {}): Box => ({
  kind: 'ellipse',
  x: mm(cx - r),
  y: mm(cy - r),
  w: mm(2 * r),
  h: mm(2 * r),
  ...style,
});
export function path(points: readonly Point[], style: Style & { readonly closed?: boolean } = {}): Box {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return {
    kind: 'path',
    x: mm(x),
    y: mm(y),
    w: mm(Math.max(...xs) - x),
    h: mm(Math.max(...ys) - y),
    points: points.map(([px, py]) => [mm(px), mm(py)] as const),
    ...style,
  };
}
export const line = (x1: number, y1: number, x2: number, y2: number, style: Style = {}): Box =>
  path(
    [
      [x1, y1],
      [x2, y2],
    ],
    { line: 'ink', width: 0.3, ...style },
  );
export const polygon = (points: readonly Point[], style: Style = {}): Box => path(points, { ...style, closed: true });

export const text = (
  x: number,
  y: number,
  w: number,
  h: number,
  words: string,
  size: number,
  style: Pick<Box, 'bold' | 'align' | 'turned' | 'fill' | 'frame'> = {},
): Box => ({ kind: 'text', x: mm(x), y: mm(y), w: mm(w), h: mm(h), text: words, size: Math.round(size * 100) / 100, ...style });

/** The same boxes elsewhere. */
export const shift = (boxes: readonly Box[], dx: number, dy: number): Box[] =>
  boxes.map((b) => ({
    ...b,
    x: mm(b.x + dx),
    y: mm(b.y + dy),
    ...(b.points ? { points: b.points.map(([x, y]) => [mm(x + dx), mm(y + dy)] as const) } : {}),
  }));

/** The same boxes upside down inside a frame of `w` by `h`. */
export const upsideDown = (boxes: readonly Box[], w: number, h: number): Box[] =>
  boxes.map((b) => ({
    ...b,
    x: mm(w - b.x - b.w),
    y: mm(h - b.y - b.h),
    ...(b.kind === 'text' ? { turned: ((b.turned ?? 0) + 180) % 360, ...(b.align === 'start' ? { align: 'start' as const } : {}) } : {}),
    ...(b.points ? { points: b.points.map(([x, y]) => [mm(w - x), mm(h - y)] as const) } : {}),
  }));
