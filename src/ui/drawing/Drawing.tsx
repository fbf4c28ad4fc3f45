import type { ReactNode } from 'react';
import type { Picture } from '../../core/play/picture';
import styles from './drawing.module.css';

/** Every drawing has this size, in its own units; at one to one no letter is under twelve pixels. */
const [W, H] = [180, 120] as const;
const least = 12;

type Of<K extends Picture['draw']> = Extract<Picture, { draw: K }>;
const word = (text: string | number, x: number, y: number, size = 16, look = styles.word): ReactNode => (
  <text
    key={`${x} ${y} ${text}`}
    x={x}
    y={y}
    fontSize={Math.max(least, size)}
    textAnchor="middle"
    dominantBaseline="central"
    className={look}
  >
    {text}
  </text>
);
/** A size at which a word of so many letters fits a width. */
const fitting = (text: string | number, width: number, most: number): number => Math.min(most, (width / String(text).length) * 1.7);

const pips: Readonly<Record<number, readonly (readonly [number, number])[]>> = {
  1: [[0, 0]],
  2: [
    [-1, -1],
    [1, 1],
  ],
  3: [
    [-1, -1],
    [0, 0],
    [1, 1],
  ],
  4: [
    [-1, -1],
    [1, -1],
    [-1, 1],
    [1, 1],
  ],
  5: [
    [-1, -1],
    [1, -1],
    [0, 0],
    [-1, 1],
    [1, 1],
  ],
  6: [
    [-1, -1],
    [1, -1],
    [-1, 0],
    [1, 0],
    [-1, 1],
    [1, 1],
  ],
};

function dice({ faces, joined, makes }: Of<'dice'>): ReactNode {
  const size = faces.length > 2 ? 38 : 46;
  const gap = joined ? 26 : 14;
  const tail = makes ? 46 : 0;
  const x0 = (W - tail - faces.length * size - (faces.length - 1) * gap) / 2;
  return (
    <g>
      {faces.map((f, i) => {
        const x = x0 + i * (size + gap);
        const spots = typeof f === 'number' ? pips[f] : undefined;
        return (
          <g key={i} transform={`translate(${x + size / 2} ${H / 2}) rotate(${joined ? 0 : (i % 2 ? 1 : -1) * 7})`}>
            <rect x={-size / 2} y={-size / 2} width={size} height={size} rx="7" className={styles.paper} />
            {spots?.map(([dx, dy]) => (
              <circle key={`${dx}${dy}`} cx={(dx * size) / 4} cy={(dy * size) / 4} r={size / 11} className={styles.ink} />
            )) ?? word(f, 0, 1, fitting(f, size - 8, 24))}
          </g>
        );
      })}
      {joined && faces.slice(1).map((_, i) => word(joined, x0 + (i + 1) * (size + gap) - gap / 2, H / 2, 20))}
      {makes && word(`= ${makes}`, x0 + faces.length * (size + gap) - gap + 26, H / 2, fitting(`= ${makes}`, 48, 22), styles.lit)}
    </g>
  );
}

function cards({ values, rows = values.length > 6 ? 2 : 1, lit = [], joined, makes }: Of<'cards'>): ReactNode {
  const columns = Math.ceil(values.length / rows);
  const results = makes?.split(' | ') ?? [];
  const tail = results.length > 0 ? 52 : 0;
  const gap = joined ? 16 : 6;
  const wide = Math.min(44, (W - 12 - tail - (columns - 1) * gap) / columns);
  const high = Math.min(60, (H - 12 - (rows - 1) * 6) / rows, wide * 1.5);
  const x0 = (W - tail - columns * wide - (columns - 1) * gap) / 2;
  const y0 = (H - rows * high - (rows - 1) * 6) / 2;
  return (
    <g>
      {values.map((v, i) => {
        const [r, c] = [Math.floor(i / columns), i % columns];
        const [x, y] = [x0 + c * (wide + gap), y0 + r * (high + 6)];
        return (
          <g key={i}>
            <rect
              x={x}
              y={y}
              width={wide}
              height={high}
              rx="3"
              className={v === null ? styles.back : lit.includes(i) ? styles.lamp : styles.paper}
            />
            {v !== null &&
              (wide >= least || String(v).length < 2) &&
              word(v, x + wide / 2, y + high / 2, fitting(v, wide - 4, 22), lit.includes(i) ? styles.onLamp : styles.word)}
            {joined && c > 0 && word(joined, x - gap / 2, y + high / 2, 16)}
          </g>
        );
      })}
      {results.map((m, r) =>
        word(
          `= ${m}`,
          W - tail / 2 - 4,
          results.length === rows ? y0 + r * (high + 6) + high / 2 : H / 2,
          fitting(`= ${m}`, tail, 20),
          styles.lit,
        ),
      )}
    </g>
  );
}

function grid({ rows, columns, cells = [], lit = [], done = [], rowNames = [], columnNames = [] }: Of<'grid'>): ReactNode {
  const [left, top] = [rowNames.length > 0 ? 24 : 0, columnNames.length > 0 ? 18 : 0];
  const size = Math.min(34, (W - 12 - left) / columns, (H - 10 - top) / rows);
  const x0 = (W + left - columns * size) / 2;
  const y0 = (H + top - rows * size) / 2;
  const at = (i: number): [number, number] => [x0 + (i % columns) * size, y0 + Math.floor(i / columns) * size];
  return (
    <g>
      {Array.from({ length: rows * columns }, (_, i) => {
        const [x, y] = at(i);
        const text = cells[i];
        return (
          <g key={i}>
            <rect
              x={x}
              y={y}
              width={size}
              height={size}
              className={lit.includes(i) ? styles.lamp : done.includes(i) ? styles.wash : styles.paper}
            />
            {text !== undefined &&
              text !== '' &&
              size >= 6.5 * String(text).length &&
              size > least &&
              word(text, x + size / 2, y + size / 2 + 0.5, fitting(text, size - 3, 16), lit.includes(i) ? styles.onLamp : styles.word)}
          </g>
        );
      })}
      {rowNames.map((n, r) => r < rows && size > least && word(n, x0 - 14, y0 + (r + 0.5) * size, 13))}
      {columnNames.map((n, c) => word(n, x0 + (c + 0.5) * size, y0 - 10, 13))}
    </g>
  );
}

function track({ from, to, pegs, jump }: Of<'track'>): ReactNode {
  // A stretch of the track that shows what happens, in a bend.
  const first = Math.max(from, (jump ? Math.min(...jump) : (pegs[0] ?? from)) - 2);
  const count = Math.min(14, to - first + 1);
  const place = (n: number): [number, number] => {
    const i = Math.max(0, Math.min(count - 1, n - first));
    return i < 7 ? [16 + i * 24.5, 38] : [16 + (13 - i) * 24.5, 84];
  };
  return (
    <g>
      {Array.from({ length: count }, (_, i) => {
        const [x, y] = place(first + i);
        return (
          <g key={i}>
            <rect x={x - 12} y={y - 12} width="24" height="24" className={jump?.[1] === first + i ? styles.lamp : styles.paper} />
            {word(first + i, x, y + 0.5, fitting(first + i, 23, 13), jump?.[1] === first + i ? styles.onLamp : styles.word)}
          </g>
        );
      })}
      {pegs
        .filter((p) => p >= first && p < first + count)
        .map((p, i) => {
          const [x, y] = place(p);
          return <circle key={i} cx={x + i * 7 - 3} cy={y - 18} r="6" className={i === 0 ? styles.accent : styles.accent2} />;
        })}
      {jump && <path d={arc(place(jump[0]), place(jump[1]))} className={styles.leap} />}
    </g>
  );
}
const arc = ([x1, y1]: [number, number], [x2, y2]: [number, number]): string =>
  `M${x1} ${y1 - 14} Q${(x1 + x2) / 2} ${Math.min(y1, y2) - 44} ${x2} ${y2 - 14}`;

function line({ low, high, marks, shaded }: Of<'line'>): ReactNode {
  const x = (part: number): number => 20 + part * (W - 40);
  return (
    <g>
      {shaded && (
        <rect x={x(shaded[0])} y={H / 2 - 9} width={Math.max(2, x(shaded[1]) - x(shaded[0]))} height="18" className={styles.glow} />
      )}
      <path d={`M12 ${H / 2}H${W - 12}M${x(0)} ${H / 2 - 8}v16M${x(1)} ${H / 2 - 8}v16`} className={styles.strong} />
      {word(low, x(0), H / 2 + 22, 14)}
      {word(high, Math.min(x(1), W - 4 * String(high).length - 2), H / 2 + 22, 14)}
      {marks.map(([part, text], i) => (
        <g key={i}>
          <path d={`M${x(part)} ${H / 2 - 14}v22`} className={styles.leap} />
          {word(text, x(part), H / 2 - 26 - (i % 2) * 15, 17, styles.lit)}
        </g>
      ))}
    </g>
  );
}

function tiles({ count, shut, lit = [] }: Of<'tiles'>): ReactNode {
  const wide = Math.min(26, (W - 8) / count);
  const x0 = (W - count * wide) / 2;
  return (
    <g>
      <path d={`M${x0 - 2} 88H${x0 + count * wide + 2}`} className={styles.strong} />
      {Array.from({ length: count }, (_, i) => {
        const n = i + 1;
        const down = shut.includes(n);
        return (
          <g key={n}>
            <rect
              x={x0 + i * wide + 1}
              y={down ? 88 : 34}
              width={wide - 2}
              height={down ? 12 : 54}
              rx="2"
              className={lit.includes(n) ? styles.lamp : down ? styles.wash : styles.paper}
            />
            {!down && word(n, x0 + (i + 0.5) * wide, 58, fitting(n, wide, 18))}
          </g>
        );
      })}
    </g>
  );
}

function columns({ first, heights, full, lit }: Of<'columns'>): ReactNode {
  const wide = Math.min(26, (W - 12) / heights.length);
  const box = Math.min(16, (H - 34) / full);
  const x0 = (W - heights.length * wide) / 2;
  const named = wide >= least;
  // Narrow columns of two digits would run together: every second one is named then.
  const step = wide < 17 && first + heights.length > 10 ? 2 : 1;
  return (
    <g>
      {heights.map((h, i) => (
        <g key={i}>
          <rect x={x0 + i * wide + 1} y={H - 22 - full * box} width={wide - 2} height={full * box} className={styles.faint} />
          {Array.from({ length: h }, (_, k) => (
            <rect
              key={k}
              x={x0 + i * wide + 2}
              y={H - 22 - (k + 1) * box + 1}
              width={wide - 4}
              height={box - 2}
              className={lit === first + i && k === h - 1 ? styles.lamp : styles.wash}
            />
          ))}
          {named && i % step === 0 && word(first + i, x0 + (i + 0.5) * wide, H - 11, 12)}
        </g>
      ))}
    </g>
  );
}

function beam({ left, right, tip }: Of<'beam'>): ReactNode {
  const side = (values: readonly (number | string)[], x: number, drop: number): ReactNode =>
    values.map((v, i) => {
      const cx = x + (i - (values.length - 1) / 2) * 27;
      return (
        <g key={i}>
          <path d={`M${cx} ${44 + drop}v12`} className={styles.line} />
          <rect x={cx - 12} y={56 + drop} width="24" height="24" rx="3" className={v === '?' ? styles.lamp : styles.paper} />
          {word(v, cx, 68.5 + drop, 15, v === '?' ? styles.onLamp : styles.word)}
        </g>
      );
    });
  const drop = -tip * 9;
  return (
    <g>
      <path d={`M14 ${44 + drop}L${W - 14} ${44 - drop}`} className={styles.strong} />
      <path d="M90 44L78 104H102Z" className={styles.wash} />
      {side(left, 46, drop * 0.7)}
      {side(right, 134, -drop * 0.7)}
    </g>
  );
}

function things({ heaps, names = [], shape = 'disc' }: Of<'things'>): ReactNode {
  const space = (W - 8) / heaps.length;
  return (
    <g>
      {heaps.map(([n, other = 0], h) => {
        const all = Math.min(40, n + other);
        const across = Math.max(1, Math.min(Math.ceil(Math.sqrt(all * (space / 90))), all));
        const size = Math.min(20, (space - 6) / across, (H - 34) / Math.ceil(all / across));
        const x0 = 4 + h * space + (space - across * size) / 2;
        const y0 = (H - 14 - Math.ceil(all / across) * size) / 2;
        return (
          <g key={h}>
            {Array.from({ length: all }, (_, i) => {
              const [x, y] = [x0 + (i % across) * size + size / 2, y0 + Math.floor(i / across) * size + size / 2];
              const look = i < n ? styles.wash : styles.lamp;
              if (shape === 'stick')
                return <path key={i} d={`M${x} ${y - size / 2 + 1}v${size - 2}`} className={i < n ? styles.strong : styles.leap} />;
              if (shape === 'cube')
                return <rect key={i} x={x - size / 2 + 1} y={y - size / 2 + 1} width={size - 2} height={size - 2} className={look} />;
              return <circle key={i} cx={x} cy={y} r={size / 2 - 1.2} className={look} />;
            })}
            {names[h] !== undefined && word(names[h], 4 + (h + 0.5) * space, H - 11, fitting(names[h], space, 15))}
          </g>
        );
      })}
    </g>
  );
}

function coins({ values, makes }: Of<'coins'>): ReactNode {
  const shown = values.slice(0, 8);
  const space = Math.min(32, (W - 10 - (makes ? 46 : 0)) / shown.length);
  const x0 = (W - (makes ? 46 : 0) - shown.length * space) / 2;
  return (
    <g>
      {shown.map((v, i) => (
        <g key={i}>
          <circle cx={x0 + (i + 0.5) * space} cy={H / 2} r={Math.min(space / 2 - 1, 9 + String(v).length * 3)} className={styles.wash} />
          {word(v, x0 + (i + 0.5) * space, H / 2 + 0.5, fitting(v, space - 4, 14))}
        </g>
      ))}
      {makes && word(`= ${makes}`, W - 28, H / 2, fitting(`= ${makes}`, 48, 20), styles.lit)}
    </g>
  );
}

function clock({ minutes }: Of<'clock'>): ReactNode {
  return (
    <g>
      {minutes.map((m, i) => {
        const cx = minutes.length === 1 ? W / 2 : 46 + i * 88;
        const r = minutes.length === 1 ? 50 : 40;
        const hand = (angle: number, long: number): string =>
          `M${cx} ${H / 2}L${cx + Math.sin(angle) * long} ${H / 2 - Math.cos(angle) * long}`;
        return (
          <g key={i}>
            <circle cx={cx} cy={H / 2} r={r} className={styles.paper} />
            {Array.from({ length: 12 }, (_, k) => {
              const a = (k * Math.PI) / 6;
              return (
                <path
                  key={k}
                  d={`M${cx + Math.sin(a) * (r - 5)} ${H / 2 - Math.cos(a) * (r - 5)}L${cx + Math.sin(a) * r} ${H / 2 - Math.cos(a) * r}`}
                  className={styles.line}
                />
              );
            })}
            <path d={hand((m / 720) * 2 * Math.PI, r * 0.5)} className={styles.strong} />
            <path d={hand(((m % 60) / 60) * 2 * Math.PI, r * 0.8)} className={styles.leap} />
          </g>
        );
      })}
      {minutes.length === 2 && <path d={`M84 ${H / 2}h12m-4 -4l4 4l-4 4`} className={styles.line} />}
    </g>
  );
}

function wheel({ middle, rim, lit }: Of<'wheel'>): ReactNode {
  return (
    <g>
      <circle cx={W / 2} cy={H / 2} r="56" className={styles.paper} />
      <circle cx={W / 2} cy={H / 2} r="17" className={styles.wash} />
      {word(middle, W / 2, H / 2 + 0.5, fitting(middle, 30, 17))}
      {rim.map((n, i) => {
        const a = (i / rim.length) * 2 * Math.PI;
        const [x, y] = [W / 2 + Math.sin(a) * 41, H / 2 - Math.cos(a) * 41];
        return (
          <g key={i}>
            {i === lit && <circle cx={x} cy={y} r="13" className={styles.lamp} />}
            {word(n, x, y + 0.5, 13, i === lit ? styles.onLamp : styles.word)}
          </g>
        );
      })}
    </g>
  );
}

function shape({ columns: across, rows, outlines, mirror, dots = [], axes = false }: Of<'shape'>): ReactNode {
  const size = Math.min(22, (W - 16) / across, (H - 14) / rows);
  const [x0, y0] = [(W - across * size) / 2, (H - rows * size) / 2];
  const at = ([x, y]: readonly [number, number]): string => `${x0 + x * size} ${y0 + y * size}`;
  return (
    <g>
      {Array.from({ length: across + 1 }, (_, i) => (
        <path key={`c${i}`} d={`M${x0 + i * size} ${y0}v${rows * size}`} className={styles.faint} />
      ))}
      {Array.from({ length: rows + 1 }, (_, i) => (
        <path key={`r${i}`} d={`M${x0} ${y0 + i * size}h${across * size}`} className={styles.faint} />
      ))}
      {axes && <path d={`M${x0} ${y0}v${rows * size}h${across * size}`} className={styles.strong} />}
      {outlines.map((o, i) => (
        <path
          key={i}
          d={`M${o.map(at).join('L')}Z`}
          className={
            i === 0 || !mirror ? (i % 2 ? styles.lampSoft : styles.washSoft) : i < outlines.length / 2 ? styles.washSoft : styles.lampSoft
          }
        />
      ))}
      {mirror && <path d={`M${at(mirror[0])}L${at(mirror[1])}`} className={styles.dashed} />}
      {dots.map(([x, y, name], i) => (
        <g key={`d${i}`}>
          <circle cx={x0 + x * size} cy={y0 + y * size} r="5" className={i === 0 ? styles.accent : styles.accent2} />
          {name && word(name, Math.min(W - 22, x0 + x * size + 4), y0 + y * size - 13, 13, styles.lit)}
        </g>
      ))}
    </g>
  );
}

function bars({ bars: rows }: Of<'bars'>): ReactNode {
  const high = Math.min(26, (H - 16 - (rows.length - 1) * 8) / rows.length);
  const y0 = (H - rows.length * high - (rows.length - 1) * 8) / 2;
  return (
    <g>
      {rows.map(([part, of, name], r) => (
        <g key={r}>
          {Array.from({ length: of }, (_, i) => (
            <rect
              key={i}
              x={8 + (i * 124) / of}
              y={y0 + r * (high + 8)}
              width={124 / of}
              height={high}
              className={i < part ? (r === rows.length - 1 ? styles.lamp : styles.wash) : styles.paper}
            />
          ))}
          {name && word(name, 157, y0 + r * (high + 8) + high / 2, fitting(name, 44, 16))}
        </g>
      ))}
    </g>
  );
}

function say({ words }: Of<'say'>): ReactNode {
  const size = Math.max(13, fitting(words, 150, 30));
  const lines = size > 13 ? [words] : halves(words);
  return (
    <g>
      <path d="M14 18h152v64h-92l-22 22v-22h-38z" className={styles.paper} />
      {lines.map((l, i) => word(l, W / 2, 50 + (i - (lines.length - 1) / 2) * 18, Math.max(least, fitting(l, 150, size))))}
    </g>
  );
}

/** A long sentence on two lines. */
function halves(text: string): string[] {
  const middle = text.indexOf(' ', Math.floor(text.length / 2) - 2);
  return middle < 0 ? [text] : [text.slice(0, middle), text.slice(middle + 1)];
}

const drawn: { readonly [K in Picture['draw']]: (p: Of<K>) => ReactNode } = {
  dice,
  cards,
  grid,
  track,
  line,
  tiles,
  columns,
  beam,
  things,
  coins,
  clock,
  wheel,
  shape,
  bars,
  say,
};

/** One drawing of ours, made from data; what it shows is said beside it, so it is hidden from readers unless named. */
export function Drawing({ picture, title, className }: { picture: Picture; title?: string; className?: string | undefined }) {
  const draw = drawn[picture.draw] as ((p: Picture) => ReactNode) | undefined;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className={`${styles.drawing} ${className ?? ''}`}
      {...(title ? { role: 'img', 'aria-label': title } : { 'aria-hidden': true })}
    >
      {draw?.(picture)}
    </svg>
  );
}
