import type { ReactNode } from 'react';
import { board, card, dot, fan, many, sheet, word } from './thingParts';
import styles from './things.module.css';

const squares = (x: number, y: number, size: number, columns: number, rows: number, look = styles.thin): ReactNode => (
  <path
    d={[
      ...many(columns + 1, (i) => `M${x + i * size} ${y}v${rows * size}`),
      ...many(rows + 1, (i) => `M${x} ${y + i * size}h${columns * size}`),
    ].join('')}
    className={look}
  />
);
const solid = (path: string, lines: string, face: string): ReactNode => (
  <g>
    <path d={path} className={styles.paper} />
    <path d={lines} className={styles.line} />
    {word(face, 48, 44, 14)}
  </g>
);

/** Things of the newer games, in the same hand. */
export const furtherThings: Readonly<Record<string, () => ReactNode>> = {
  'four-sided-die': () => solid('M48 8 78 58H18Z', 'M48 8 56 58', '3'),
  'eight-sided-die': () => solid('M48 6 76 36 48 66 20 36Z', 'M20 36h56', '5'),
  'twenty-sided-die': () =>
    solid('M48 6 74 21V51L48 66 22 51V21Z', 'M48 22 64 48H32ZM48 6v16M74 21 48 22M22 21l26 1M74 51l-10-3M22 51l10-3', '17'),
  'number-cards': () => fan(['12', '15', '19', '24']),
  'wild-cards': () => [card(38, 36, -8), card(56, 36, 6, word('?'), true)],
  'special-cards': () => [card(30, 36, -10, word('−10', 0, 5, 11)), card(48, 35, 0, word('↻')), card(66, 36, 10, word('≈'))],
  'place-cards': () => [card(34, 36, -6, word('T')), card(62, 36, 6, word('O'), true)],
  'fraction-cards': () => fan(['½', '¼', '¾', '⅓']),
  'shape-cards': () => [
    card(32, 36, -6, <path d="M-7 6 0-8 7 6Z" className={styles.teal} />),
    card(64, 36, 6, <path d="M-7-5h10l4 10h-10z" className={styles.teal} />),
  ],
  'number-board': () => board(squares(16, 12, 8, 8, 6), true),
  'hundred-chart-pieces': () => (
    <g>
      <path d="M14 14h30v16h16v16H30V30H14Z" className={styles.wash} />
      <path d="M58 44h24v16H50V52h8Z" className={styles.paper} />
      <path d="M30 14v16h14M30 30h14v16M44 30h16" className={styles.thin} />
    </g>
  ),
  'product-board': () =>
    board(
      <g>
        {squares(26, 12, 11, 4, 4)}
        {word('24', 42, 32, 11)}
      </g>,
    ),
  'coordinate-grid': () => (
    <g>
      {squares(22, 8, 9, 6, 6)}
      <path d="M22 8v54h54" className={styles.line} />
      {dot(49, 35, 4)}
    </g>
  ),
  'place-value-mat': () =>
    board(
      <g>
        <path d="M48 10v52M14 24h68" className={styles.line} />
        {word('T', 31, 21, 12)}
        {word('O', 65, 21, 12)}
      </g>,
    ),
  'squared-paper': () => sheet(squares(28, 22, 7, 5, 5)),
  'dotted-paper': () => sheet(<g>{many(25, (i) => dot(31 + (i % 5) * 7, 26 + Math.floor(i / 5) * 7, 1.2))}</g>),
  'fraction-pieces': () => (
    <g>
      <circle cx="48" cy="36" r="26" className={styles.paper} />
      <path d="M48 36V10A26 26 0 0 1 74 36Z" className={styles.wash} />
      <path d="M22 36h52M48 10v52" className={styles.line} />
    </g>
  ),
  'calendar-page': () =>
    sheet(
      <g>
        <path d="M26 20h44" className={styles.line} />
        {word('17', 48, 50, 18)}
      </g>,
    ),
  timetable: () => sheet(<path d="M30 26h10M46 26h18M30 36h10M46 36h18M30 46h10M46 46h18M30 56h10M46 56h18" className={styles.line} />),
  protractor: () => (
    <g>
      <path d="M16 54A32 32 0 0 1 80 54Z" className={styles.wash} />
      <path d="M48 54 68 34M48 54V22M22 36l6 4M74 36l-6 4M34 26l4 6M62 26l-4 6" className={styles.line} />
    </g>
  ),
  'play-notes': () =>
    many(3, (i) => (
      <g key={i} transform={`translate(${i * 6} ${i * 8})`}>
        <rect x="14" y="12" width="56" height="28" rx="2" className={i === 2 ? styles.wash : styles.paper} />
        {i === 2 && word('10', 42, 31, 14)}
      </g>
    )),
  bag: () => (
    <g>
      <path d="M34 22c-16 14-18 42 14 42s30-28 14-42z" className={styles.wash} />
      <path d="M32 22h32M36 22c-2-8 2-12 12-12s14 4 12 12" className={styles.line} />
      {word('?', 48, 52, 18)}
    </g>
  ),
  cup: () => <path d="M28 14h40l-6 48H34Z M28 14c0 6 40 6 40 0" className={styles.paper} />,
  jar: () => (
    <g>
      <path d="M32 18h32v4c8 4 8 40-2 42H34c-10-2-10-38-2-42Z" className={styles.paper} />
      {many(9, (i) => dot(36 + (i % 3) * 12, 40 + Math.floor(i / 3) * 9, 4, i % 2 === 0))}
    </g>
  ),
  'sorting-things': () => [
    <circle key="a" cx="28" cy="30" r="11" className={styles.wash} />,
    <rect key="b" x="44" y="16" width="18" height="18" className={styles.paper} />,
    <path key="c" d="M64 60 74 40 84 60Z" className={styles.teal} />,
    <circle key="d" cx="48" cy="54" r="8" className={styles.paper} />,
  ],
  'attribute-shapes': () => [
    <path key="a" d="M14 52 30 22 46 52Z" className={styles.teal} />,
    <rect key="b" x="50" y="14" width="32" height="18" className={styles.wash} />,
    <circle key="c" cx="66" cy="50" r="12" className={styles.paper} />,
  ],
  'solid-shapes': () => (
    <g>
      <path d="M16 30h22v24H16ZM16 30l8-10h22l-8 10M38 54l8-10V20" className={styles.paper} />
      <circle cx="68" cy="44" r="16" className={styles.wash} />
    </g>
  ),
  'tangram-pieces': () => (
    <g>
      <path d="M20 8h56v56H20Z" className={styles.paper} />
      <path d="M20 8l56 56M76 8 34 50M48 64l28-28M34 50l14 14M62 22v28" className={styles.line} />
    </g>
  ),
  'magnet-rods': () => (
    <g>
      <path d="M18 14 58 26M58 26v18" className={styles.line} />
      <path d="M50 44h16v12h-5v-7h-6v7h-5Z" className={styles.accent} />
    </g>
  ),
  marbles: () =>
    many(3, (i) => <circle key={i} cx={28 + i * 20} cy={i === 1 ? 28 : 46} r="12" className={i === 1 ? styles.teal : styles.wash} />),
  balloons: () => (
    <g>
      <path d="M48 46c-24-6-22-38 0-38s24 32 0 38Z" className={styles.accent} />
      <path d="M48 46l-4 5h8ZM48 51c-6 6 6 8 0 14" className={styles.line} />
    </g>
  ),
  'dried-beans': () =>
    many(5, (i) => (
      <path key={i} d={`M${18 + i * 13} ${i % 2 ? 48 : 30}c8-10 18 0 10 8-3 3-5-2-7 0-6 2-8-4-3-8Z`} className={styles.wash} />
    )),
  'battery-timer': () => (
    <g>
      <rect x="20" y="16" width="56" height="40" rx="6" className={styles.paper} />
      <rect x="28" y="24" width="40" height="16" className={styles.wash} />
      {word('5:00', 48, 37, 12)}
    </g>
  ),
  scissors: () => (
    <g>
      <path d="M26 12 60 50M70 12 36 50" className={styles.line} />
      <circle cx="30" cy="56" r="8" className={styles.accent} />
      <circle cx="66" cy="56" r="8" className={styles.accent} />
    </g>
  ),
  'craft-knife': () => (
    <g>
      <path d="M20 54 56 18l8 8-36 36Z" className={styles.wash} />
      <path d="M56 18 72 8l-8 18Z" className={styles.accent} />
    </g>
  ),
  laminator: () => (
    <g>
      <rect x="14" y="28" width="68" height="24" rx="3" className={styles.paper} />
      <path d="M26 28V10h44v18M26 52v12h44V52M22 40h40" className={styles.line} />
    </g>
  ),
  markers: () =>
    many(3, (i) => (
      <g key={i} transform={`translate(${26 + i * 20} 0)`}>
        <rect x="-6" y="22" width="12" height="40" className={[styles.teal, styles.accent, styles.wash][i]} />
        <path d="M-4 22l4-12 4 12Z" className={styles.paper} />
      </g>
    )),
  glue: () => (
    <g>
      <path d="M36 28h24v36H36Z" className={styles.wash} />
      <path d="M40 28l4-16h8l4 16Z" className={styles.accent} />
    </g>
  ),
};
