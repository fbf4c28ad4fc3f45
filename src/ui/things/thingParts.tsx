import type { ReactNode } from 'react';
import styles from './things.module.css';

/** Parts that several drawings of things share. */

export const card = (x: number, y: number, turn: number, face: ReactNode = null, wash = false): ReactNode => (
  <g key={`${x} ${y} ${turn}`} transform={`translate(${x} ${y}) rotate(${turn})`}>
    <rect x="-13" y="-19" width="26" height="38" rx="2" className={wash ? styles.wash : styles.paper} />
    {face}
  </g>
);
export const word = (text: string, x = 0, y = 5, size = 15): ReactNode => (
  <text x={x} y={y} fontSize={size} textAnchor="middle" className={styles.word}>
    {text}
  </text>
);
export const dot = (x: number, y: number, r = 2.6, filled = true): ReactNode => (
  <circle key={`${x} ${y}`} cx={x} cy={y} r={r} className={filled ? styles.ink : styles.line} />
);
export const die = (x: number, y: number, face: ReactNode): ReactNode => (
  <g key={`${x}`} transform={`translate(${x} ${y})`}>
    <rect x="-15" y="-15" width="30" height="30" rx="5" className={styles.paper} />
    {face}
  </g>
);
export const sheet = (face: ReactNode, x = 26): ReactNode => (
  <g>
    <path d={`M${x} 8h34l10 10v46h-44z`} className={styles.paper} />
    <path d={`M${x + 34} 8v10h10`} className={styles.line} />
    {face}
  </g>
);
export const board = (face: ReactNode, wash = false): ReactNode => (
  <g>
    <rect x="14" y="10" width="68" height="52" rx="2" className={wash ? styles.wash : styles.paper} />
    {face}
  </g>
);
export const many = (count: number, each: (i: number) => ReactNode): ReactNode[] => Array.from({ length: count }, (_, i) => each(i));
export const fan = (faces: readonly string[]): ReactNode =>
  faces.map((f, i) => card(24 + i * 17, 38 - Math.abs(i - 1.5) * -2, (i - 1.5) * 7, word(f, 0, 5, 14)));
