import { baselineOf, type Box, mmPerPoint } from '../../core/print/box';
import { tones } from '../../core/print/tones';
import styles from './sheet.module.css';

/** A box as it travels: the same as on paper. */
type Drawn = Omit<Box, 'fill' | 'line'> & { readonly fill?: string | undefined; readonly line?: string | undefined };

const colour = (tone: string | undefined): string => (tone ? (tones[tone as keyof typeof tones] ?? 'none') : 'none');

function one(b: Drawn, key: number) {
  if (b.kind === 'text') {
    const anchor = b.align ?? 'middle';
    const x = anchor === 'start' ? b.x : anchor === 'end' ? b.x + b.w : b.x + b.w / 2;
    return (
      <text
        key={key}
        x={x}
        y={baselineOf({ y: b.y, h: b.h, size: b.size! })}
        fontSize={b.size! * mmPerPoint}
        fontWeight={b.bold ? 700 : 400}
        textAnchor={anchor}
        fill={colour(b.fill ?? 'ink')}
        {...(b.turned ? { transform: `rotate(${b.turned} ${b.x + b.w / 2} ${b.y + b.h / 2})` } : {})}
      >
        {b.text}
      </text>
    );
  }
  if (!b.fill && !b.line) return null;
  const style = {
    fill: colour(b.fill),
    stroke: colour(b.line),
    strokeWidth: b.width ?? 0.3,
    ...(b.dashed ? { strokeDasharray: '1.4 1' } : {}),
  };
  if (b.kind === 'rect') return <rect key={key} x={b.x} y={b.y} width={b.w} height={b.h} {...style} />;
  if (b.kind === 'ellipse') return <ellipse key={key} cx={b.x + b.w / 2} cy={b.y + b.h / 2} rx={b.w / 2} ry={b.h / 2} {...style} />;
  const points = (b.points ?? []).map((p) => p.join(',')).join(' ');
  return b.closed ? <polygon key={key} points={points} {...style} /> : <polyline key={key} points={points} {...style} />;
}

/** Pieces of a page that can be ticked, by their numbers in the whole set. */
export interface Picks {
  /** The number of the first piece on this page. */
  readonly first: number;
  readonly ticked: readonly number[];
  readonly onToggle: (n: number) => void;
}

/** A sheet of paper as it comes out of the printer, drawn from the same boxes. */
export function SheetPage({
  width,
  height,
  boxes,
  label,
  measured = false,
  picks,
}: {
  width: number;
  height: number;
  boxes: readonly Drawn[];
  label: string;
  /** With the sizes of the paper and of the first card beside it. */
  measured?: boolean;
  picks?: Picks | undefined;
}) {
  const card = boxes.find((b) => b.kind === 'card');
  const room = measured ? 12 : 0;
  return (
    <svg
      viewBox={`${-room} ${-room} ${width + room} ${height + room}`}
      className={styles.page}
      role={picks ? 'group' : 'img'}
      aria-label={label}
      data-to-scale
    >
      <rect x={0} y={0} width={width} height={height} className={styles.paper} />
      {boxes.map((b, i) => one(b as Drawn, i))}
      {picks && <Pieces boxes={boxes} {...picks} />}
      {measured && (
        <g className={styles.measures} aria-hidden>
          <Measure x1={0} y1={-6} x2={width} y2={-6} say={String(Math.round(width * 10) / 10)} />
          <Measure x1={-6} y1={0} x2={-6} y2={height} say={String(Math.round(height * 10) / 10)} />
          {card && card.y > 12 && (
            <Measure x1={card.x} y1={card.y - 6} x2={card.x + card.w} y2={card.y - 6} say={String(Math.round(card.w * 10) / 10)} />
          )}
        </g>
      )}
    </svg>
  );
}

/** A tick box over each piece, named by what stands on it. */
function Pieces({ boxes, first, ticked, onToggle }: { boxes: readonly Drawn[] } & Picks) {
  const starts = boxes.flatMap((b, i) => (b.kind === 'card' ? [i] : []));
  return starts.map((from, i) => {
    const { x, y, w, h } = boxes[from]!;
    const on = ticked.includes(first + i);
    const words = boxes.slice(from, starts[i + 1]).flatMap((b) => (inside(b, boxes[from]!) && b.text ? [b.text] : []));
    return (
      <g
        key={from}
        role="checkbox"
        aria-checked={on}
        tabIndex={0}
        aria-label={`Piece ${[first + i, words.join(' ')].filter(Boolean).join(': ')}`}
        className={styles.pick}
        onClick={() => onToggle(first + i)}
        onKeyDown={(e) => {
          if (e.key !== ' ' && e.key !== 'Enter') return;
          e.preventDefault();
          onToggle(first + i);
        }}
      >
        <rect x={x + 1} y={y + 1} width={w - 2} height={h - 2} />
        {on && <path d={`M ${x + w - 13} ${y + 8} l 3 3.4 l 6 -7`} />}
      </g>
    );
  });
}

const inside = (b: Drawn, of: Drawn): boolean => b.x >= of.x - 0.1 && b.y >= of.y - 0.1 && b.x <= of.x + of.w && b.y <= of.y + of.h;

function Measure({ x1, y1, x2, y2, say }: { x1: number; y1: number; x2: number; y2: number; say: string }) {
  const upright = x1 === x2;
  const [cx, cy] = [(x1 + x2) / 2, (y1 + y2) / 2];
  const tick = (x: number, y: number) =>
    upright ? <line x1={x - 1.5} y1={y} x2={x + 1.5} y2={y} /> : <line x1={x} y1={y - 1.5} x2={x} y2={y + 1.5} />;
  return (
    <>
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      {tick(x1, y1)}
      {tick(x2, y2)}
      <g {...(upright ? { transform: `rotate(-90 ${cx} ${cy})` } : {})}>
        <rect x={cx - say.length * 1.8 - 1.5} y={cy - 3} width={say.length * 3.6 + 3} height={6} className={styles.behind} />
        <text x={cx} y={cy + 1.8} textAnchor="middle">
          {say}
        </text>
      </g>
    </>
  );
}
