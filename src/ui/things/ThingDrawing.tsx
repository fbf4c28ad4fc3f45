import type { ReactNode } from 'react';
import { furtherThings } from './furtherThings';
import { board, card, die, dot, fan, many, sheet, word } from './thingParts';
import styles from './things.module.css';

/** Our own drawings of things, all by one hand: ink lines, at most one accent and one wash. */

const drawings: Readonly<Record<string, () => ReactNode>> = {
  ...furtherThings,
  'pip-die': () => [
    die(32, 40, [dot(-7, -7), dot(0, 0), dot(7, 7)]),
    die(66, 32, [dot(-7, -7), dot(7, -7), dot(-7, 7), dot(7, 7), dot(0, 0)]),
  ],
  'ten-sided-die': () => (
    <g>
      <path d="M48 8 74 34 48 64 22 34Z" className={styles.paper} />
      <path d="M22 34 38 42 48 64 58 42 74 34M38 42 48 8 58 42M38 42h20" className={styles.line} />
      {word('7', 48, 37, 14)}
    </g>
  ),
  'twelve-sided-die': () => (
    <g>
      <path d="M48 7 68 14 76 33 68 54 48 64 28 54 20 33 28 14Z" className={styles.paper} />
      <path d="M48 20 62 30 57 46H39L34 30Z" className={styles.line} />
      {word('12', 48, 41, 13)}
    </g>
  ),
  'operation-die': () => [die(32, 40, word('+', 0, 8, 24)), die(66, 32, word('−', 0, 8, 24))],
  'digit-cards-0-9': () => fan(['0', '4', '8', '9']),
  'number-deck-1-10': () => [card(38, 34, -10), card(46, 35, -2), card(56, 37, 6, word('6'))],
  'playing-cards': () => [
    card(40, 35, -12),
    card(54, 37, 7, <path d="M0 9C-9 1-8-8-3-8-1-8 0-6 0-5 0-6 1-8 3-8 8-8 9 1 0 9Z" className={styles.accent} />),
  ],
  'dot-cards': () => [
    card(34, 36, -4, [dot(-5, -6), dot(5, -6), dot(-5, 6), dot(5, 6)]),
    card(64, 36, 4, [dot(-5, -9), dot(5, -9), dot(-5, 0), dot(5, 0), dot(-5, 9), dot(5, 9)]),
  ],
  'ten-frame-cards': () => (
    <g>
      <rect x="13" y="20" width="70" height="30" className={styles.paper} />
      <path d="M13 35h70M27 20v30M41 20v30M55 20v30M69 20v30" className={styles.line} />
      {many(7, (i) => (
        <circle key={i} cx={20 + (i % 5) * 14} cy={i < 5 ? 27.5 : 42.5} r="4.6" className={styles.teal} />
      ))}
    </g>
  ),
  'pair-cards': () => [card(32, 36, 0, word('7')), card(64, 36, 0, word('3'), true), <path key="l" d="M45 36h6" className={styles.line} />],
  'target-cards': () => (
    <g>
      <rect x="22" y="9" width="52" height="54" rx="2" className={styles.paper} />
      <path d="M48 9v54M22 36h52" className={styles.line} />
      {word('3', 35, 28)}
      {word('8', 61, 28)}
      {word('4', 35, 55)}
      {word('6', 61, 55)}
    </g>
  ),
  'two-colour-counters': () => [
    <circle key="a" cx="32" cy="44" r="15" className={styles.teal} />,
    <circle key="b" cx="56" cy="28" r="15" className={styles.paper} />,
    <circle key="c" cx="68" cy="50" r="11" className={styles.teal} />,
  ],
  pegs: () =>
    many(3, (i) => (
      <g key={i} transform={`translate(${26 + i * 22} 0)`}>
        <path d="M-9 62 -4 30H4L9 62Z" className={i === 1 ? styles.teal : styles.paper} />
        <circle cy="22" r="9" className={i === 1 ? styles.teal : styles.paper} />
      </g>
    )),
  'linking-cubes': () =>
    many(4, (i) => <rect key={i} x={14 + i * 17} y="28" width="17" height="17" className={i % 2 === 0 ? styles.wash : styles.paper} />),
  'tens-rods': () =>
    many(3, (i) => (
      <g key={i}>
        <rect x="13" y={14 + i * 16} width="70" height="9" className={styles.wash} />
        <path d={many(9, (k) => `M${20 + k * 7} ${14 + i * 16}v9`).join('')} className={styles.thin} />
      </g>
    )),
  'hundred-squares': () => (
    <g>
      <rect x="22" y="9" width="54" height="54" className={styles.wash} />
      <path d={many(9, (k) => `M${27.4 + k * 5.4} 9v54M22 ${14.4 + k * 5.4}h54`).join('')} className={styles.thin} />
    </g>
  ),
  'bead-frame': () => (
    <g>
      <rect x="12" y="12" width="72" height="48" rx="2" className={styles.line} />
      {many(2, (row) => (
        <g key={row}>
          <path d={`M12 ${28 + row * 16}h72`} className={styles.line} />
          {many(7, (i) => (
            <circle key={i} cx={18 + i * 8 + (i > 4 ? 8 : 0)} cy={28 + row * 16} r="4.4" className={i > 4 ? styles.paper : styles.teal} />
          ))}
        </g>
      ))}
    </g>
  ),
  'hundred-chart': () =>
    board([
      <path
        key="g"
        d={many(4, (k) => `M${27.6 + k * 13.6} 10v52`).join('') + many(3, (k) => `M14 ${23 + k * 13}h68`).join('')}
        className={styles.thin}
      />,
      <rect key="y" x="41.2" y="23" width="13.6" height="13" className={styles.lamp} />,
      <g key="n">{word('23', 48, 34, 12)}</g>,
    ]),
  'number-line': () => (
    <g>
      <path d="M8 38h80" className={styles.line} />
      <path d={many(9, (k) => `M${12 + k * 9} 32v12`).join('')} className={styles.line} />
      {word('0', 12, 60, 12)}
      {word('8', 84, 60, 12)}
      <path d="M48 26l-4-9h8z" className={styles.accent} />
    </g>
  ),
  'column-sheet': () =>
    sheet(
      many(5, (i) => (
        <rect key={i} x={32 + i * 7} y={56 - [10, 18, 28, 16, 8][i]!} width="5" height={[10, 18, 28, 16, 8][i]} className={styles.teal} />
      )),
    ),
  'recording-sheet': () => sheet(<path d="M33 26h24M33 36h30M33 46h30M33 56h18" className={styles.line} />),
  'hex-board': () =>
    many(5, (i) => {
      const [x, y] = [
        [48, 36],
        [30, 26],
        [66, 26],
        [30, 47],
        [66, 47],
      ][i] as [number, number];
      return <path key={i} d={`M${x - 12} ${y}l6-10h12l6 10-6 10h-12z`} className={i === 0 ? styles.lampPaper : styles.paper} />;
    }),
  'track-board': () => (
    <g>
      <path d="M14 54h20c10 0 10-18 20-18s10-18 28-18" className={styles.track} />
      {many(3, (i) => (
        <circle key={i} cx={[18, 54, 80][i]} cy={[54, 36, 18][i]} r="6" className={i === 2 ? styles.lampPaper : styles.paper} />
      ))}
    </g>
  ),
  dominoes: () => (
    <g transform="rotate(-8 48 36)">
      <rect x="14" y="22" width="68" height="30" rx="4" className={styles.paper} />
      <path d="M48 22v30" className={styles.line} />
      {[dot(24, 30), dot(31, 37), dot(38, 44), dot(58, 30), dot(72, 44), dot(58, 44), dot(72, 30)]}
    </g>
  ),
  'edge-tiles': () => (
    <g>
      <rect x="14" y="20" width="34" height="34" className={styles.paper} />
      <rect x="48" y="20" width="34" height="34" className={styles.wash} />
      <path d="M14 20 48 54M48 20 14 54M48 20 82 54M82 20 48 54" className={styles.thin} />
      {word('4', 41, 41, 12)}
      {word('6', 55, 41, 12)}
    </g>
  ),
  'balance-beam': () => (
    <g>
      <path d="M48 24 36 62h24zM14 30 82 18" className={styles.line} />
      <path d="M18 30v10M78 19v10" className={styles.line} />
      <rect x="11" y="40" width="14" height="10" className={styles.teal} />
      <rect x="71" y="29" width="14" height="10" className={styles.paper} />
    </g>
  ),
  'clock-face': () => (
    <g>
      <circle cx="48" cy="36" r="27" className={styles.paper} />
      <path d="M48 36V18M48 36l12 8" className={styles.line} />
      {[dot(48, 13, 1.6), dot(71, 36, 1.6), dot(48, 59, 1.6), dot(25, 36, 1.6)]}
    </g>
  ),
  coins: () => [
    <circle key="a" cx="34" cy="42" r="17" className={styles.lampPaper} />,
    <g key="t">{word('5', 34, 47, 14)}</g>,
    <circle key="b" cx="64" cy="30" r="13" className={styles.paper} />,
    <g key="u">{word('1', 64, 35, 13)}</g>,
  ],
  'fraction-strips': () => (
    <g>
      <rect x="12" y="14" width="72" height="12" className={styles.paper} />
      <rect x="12" y="30" width="72" height="12" className={styles.paper} />
      <rect x="12" y="46" width="72" height="12" className={styles.paper} />
      <rect x="12" y="30" width="36" height="12" className={styles.wash} />
      <rect x="12" y="46" width="18" height="12" className={styles.teal} />
      <path d="M48 30v12M30 46v12M48 46v12M66 46v12" className={styles.line} />
    </g>
  ),
  'sand-timer': () => (
    <g>
      <path d="M32 8h32M32 64h32M36 8c0 18 12 20 12 28s-12 10-12 28M60 8c0 18-12 20-12 28s12 10 12 28" className={styles.line} />
      <path d="M39 60c0-8 6-11 9-13 3 2 9 5 9 13z" className={styles.lamp} />
    </g>
  ),
  'dice-tray': () => (
    <g>
      <path d="M10 30h76l-9 28H19z" className={styles.wash} />
      {die(40, 27, dot(0, 0))}
    </g>
  ),
  pencils: () => (
    <g>
      <path d="M18 60 22 48 66 8l8 9L30 57z" className={styles.lampPaper} />
      <path d="M22 48l8 9M60 13l8 9" className={styles.line} />
    </g>
  ),
  paper: () => [sheet(null, 32), <path key="b" d="M22 14v50h44" className={styles.line} />],
  'card-stand': () => (
    <g>
      <path d="M14 60h68l-6-14H20z" className={styles.wash} />
      {card(36, 32, -8, word('2', 0, 4, 12))}
      {card(58, 32, 8, word('9', 0, 4, 12))}
    </g>
  ),
  'grid-cards': () =>
    board([
      <path key="g" d="M36.7 10v52M59.3 10v52M14 27.3h68M14 44.6h68" className={styles.line} />,
      <rect key="y" x="37" y="28" width="22" height="16" className={styles.teal} />,
    ]),
  'chain-card-set': () => [
    card(26, 42, -6, word('8', 0, 5, 13)),
    card(49, 32, 4, word('14', 0, 5, 12), true),
    card(72, 42, -3, word('5', 0, 5, 13)),
    <path key="a" d="M36 54q6 6 10-1M60 50q6 6 4 4" className={styles.line} />,
  ],
  'story-card-set': () => (
    <g>
      <rect x="24" y="7" width="48" height="58" rx="2" className={styles.paper} />
      <path d="M29 40 39 26l8 10 6-6 13 14" className={styles.line} />
      <circle cx="62" cy="19" r="4" className={styles.lamp} />
      <path d="M31 50h34M31 57h22" className={styles.line} />
    </g>
  ),
  'task-card-set': () => [card(36, 36, -5, word('A', 0, 5, 14)), card(60, 36, 5, word('3+4', 0, 4, 12), true)],
  'match-halves': () => (
    <g>
      <path d="M12 18h34l-6 8 6 10-6 10 6 8H12z" className={styles.paper} />
      <path d="M84 18H52l-6 8 6 10-6 10 6 8h32z" className={styles.wash} />
      {word('½', 26, 42, 18)}
      {word('0.5', 68, 41, 13)}
    </g>
  ),
  'call-cards': () => [
    card(36, 36, 0, word('7×8', 0, 5, 12)),
    <path key="h" d="M58 30v12l12 9V21zM76 28q5 8 0 16M81 23q9 13 0 26" className={styles.lampLine} />,
  ],
  'unit-tiles': () =>
    many(6, (i) => (
      <rect
        key={i}
        x={21 + (i % 3) * 18}
        y={18 + Math.floor(i / 3) * 18}
        width="18"
        height="18"
        className={i < 4 ? styles.wash : styles.paper}
      />
    )),
  'mirror-tile': () => (
    <g>
      <path d="M48 6v60" className={styles.dashed} />
      <path d="M40 16 18 56h22z" className={styles.teal} />
      <path d="M56 16 78 56H56z" className={styles.line} />
    </g>
  ),
  ruler: () => (
    <g transform="rotate(-14 48 36)">
      <rect x="8" y="26" width="80" height="20" className={styles.lampPaper} />
      <path d={many(11, (k) => `M${14 + k * 7} 26v${k % 5 === 0 ? 11 : 6}`).join('')} className={styles.line} />
    </g>
  ),
  'fact-wheel': () => (
    <g>
      <circle cx="48" cy="36" r="28" className={styles.paper} />
      <circle cx="48" cy="36" r="11" className={styles.wash} />
      <path d="M48 25V8M48 47v17M37 36H20M59 36h17M40 28 28 16M56 28l12-12M40 44 28 56M56 44l12 12" className={styles.thin} />
      {word('×6', 48, 40, 12)}
    </g>
  ),
};

/** Kinds that have a drawing of their own. */
export const drawn: readonly string[] = Object.keys(drawings);

/** The drawing of a kind of thing; a tied bag for what is the owner's own. For eyes only: its name stands beside. */
export function ThingDrawing({ kind, pale = false }: { kind: string; pale?: boolean }) {
  const draw = drawings[kind];
  return (
    <svg viewBox="0 0 96 72" width="96" height="72" aria-hidden="true" className={pale ? styles.pale : styles.drawing}>
      {draw ? (
        draw()
      ) : (
        <g>
          <path d="M38 20c-20 14-22 44 10 44s30-30 10-44z" className={styles.paper} />
          <path d="M36 20h24M40 20c-4-6-2-10 8-10s12 4 8 10" className={styles.line} />
        </g>
      )}
    </svg>
  );
}
