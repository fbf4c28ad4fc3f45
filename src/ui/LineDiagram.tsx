import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { foldFrom, mostStops } from '../core/group/foldLine';
import { SignalArm } from './SignalArm';
import styles from './lines.module.css';

export interface LineSkill {
  readonly id: string;
  readonly short: string;
  readonly title: string;
  readonly mastery: number;
  readonly seen: boolean;
  readonly interval: readonly [number, number];
  readonly frontier: boolean;
  readonly wantedNow: boolean;
  readonly words: string;
}

export interface DiagramLine {
  readonly id: string;
  readonly title: string;
  readonly hue: string;
  readonly line: string;
  readonly skills: readonly LineSkill[];
}

export interface Junction {
  readonly from: string;
  readonly to: string;
  readonly sort: 'idea' | 'heart';
}

const width = 1000;
const labelWidth = 122;
const right = 30;
/** From one stop to the next. */
const stopStep = (width - labelWidth - right - 84) / (mostStops - 1);
const rowHeight = 86;
const firstRow = 48;

/** Line pattern of each strand, so that strands differ without colour. */
const dashes: Readonly<Record<string, string>> = {
  solid: '',
  dash: '9 5',
  'solid-thick': '',
  dot: '2.5 5',
  double: '14 3 3 3',
  'dash-dot': '10 4 2 4',
  'long-dash': '18 5',
  'two-dots': '2.5 3 2.5 8',
  triple: '7 3 7 3 2 6',
  'dash-two': '12 3 12 9',
};

/**
 * Skills as stops on lines from early (left) to later (right), each with its signal arm; the
 * curves of the focused skill show what it needs and what needs it. Arrow keys walk the lines.
 */
export function LineDiagram({
  lines,
  junctions,
  focus,
  onFocus,
}: {
  lines: readonly DiagramLine[];
  junctions: readonly Junction[];
  focus: string | null;
  onFocus: (id: string) => void;
}) {
  const root = useRef<SVGSVGElement>(null);
  const place = new Map<string, { x: number; y: number; line: number; at: number }>();
  /** Where the drawn part of a line begins, once somebody has moved it. */
  const [asked, setAsked] = useState<ReadonlyMap<string, number>>(new Map());
  const wantsFocus = useRef<string | null>(null);
  const drawn = lines.map((line) => {
    const from = foldFrom(
      line.skills.map((s) => s.mastery),
      line.skills.findIndex((s) => s.id === focus),
      asked.get(line.id) ?? null,
    );
    return { ...line, all: line.skills, from, skills: line.skills.slice(from, from + mostStops) };
  });
  drawn.forEach((line, row) => {
    line.skills.forEach((s, i) =>
      place.set(s.id, { x: labelWidth + 40 + i * stopStep, y: firstRow + row * rowHeight, line: row, at: line.from + i }),
    );
  });
  const slide = (id: string, to: number | null): void => {
    const copy = new Map(asked);
    if (to === null) copy.delete(id);
    else copy.set(id, to);
    setAsked(copy);
  };
  useEffect(() => {
    if (wantsFocus.current === null) return;
    root.current?.querySelector<SVGGElement>(`[data-skill="${wantsFocus.current}"]`)?.focus();
    wantsFocus.current = null;
  });
  const tabStop = focus && place.has(focus) ? focus : drawn[0]?.skills[0]?.id;
  const move = (event: KeyboardEvent, id: string): void => {
    const p = place.get(id)!;
    const step = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] }[event.key];
    if (!step) return;
    event.preventDefault();
    const row = drawn[Math.min(drawn.length - 1, Math.max(0, p.line + step[0]!))]!;
    const goal =
      step[0] === 0
        ? row.all[p.at + step[1]!]
        : row.skills.reduce(
            (best, s) => (Math.abs(place.get(s.id)!.x - p.x) < Math.abs(place.get(best.id)!.x - p.x) ? s : best),
            row.skills[0]!,
          );
    if (!goal) return;
    // Where the line is folded, it slides along; the stop is focused once it is drawn.
    slide(row.id, null);
    wantsFocus.current = goal.id;
    onFocus(goal.id);
  };
  const shown = focus ? junctions.filter((j) => j.from === focus || j.to === focus) : [];
  return (
    <svg
      ref={root}
      viewBox={`0 0 ${width} ${firstRow + lines.length * rowHeight - 40}`}
      className={styles.diagram}
      role="group"
      aria-label="Skills by line, with a signal for each"
    >
      {shown.map((j) => {
        const a = place.get(j.from);
        const b = place.get(j.to);
        if (!a || !b) return null;
        const bend = a.y === b.y ? -38 : 0;
        return (
          <path
            key={`${j.from}|${j.to}`}
            d={`M${a.x} ${a.y}C${a.x + 30} ${a.y + bend} ${b.x - 30} ${b.y + bend} ${b.x} ${b.y}`}
            className={j.sort === 'heart' ? styles.heart : styles.idea}
          />
        );
      })}
      {drawn.map((line, row) => {
        const y = firstRow + row * rowHeight;
        const last = place.get(line.skills.at(-1)?.id ?? '')?.x ?? labelWidth;
        const wanted = line.all.filter((s) => s.wantedNow).length - line.from;
        const now = wanted < 0 || wanted > line.skills.length ? null : labelWidth + 40 + (wanted - 0.5) * stopStep;
        const behind = line.from;
        const ahead = line.all.length - line.from - line.skills.length;
        return (
          <g key={line.id}>
            <text x={0} y={y + 4} className={styles.strand} fill={`var(--strand-${line.hue})`}>
              {line.title}
            </text>
            <path
              d={`M${labelWidth} ${y}H${last + 14}`}
              stroke={`var(--strand-${line.hue})`}
              strokeWidth={line.line === 'solid-thick' ? 4.5 : 3}
              strokeDasharray={dashes[line.line]}
            />
            {now !== null && (
              <path d={`M${now} ${y - 9}V${y + 9}`} className={styles.now}>
                <title>To the left of this tick: usually wanted by now</title>
              </path>
            )}
            {behind > 0 && (
              <Fold
                x={labelWidth + 2}
                y={y}
                text={`‹ ${behind}`}
                lamp={line.all.slice(0, line.from).some((s) => s.frontier)}
                words={`${line.title}: ${behind} earlier steps`}
                onOpen={() => slide(line.id, Math.max(0, line.from - mostStops + 2))}
              />
            )}
            {ahead > 0 && (
              <Fold
                x={last + 34}
                y={y}
                text={`${ahead} ›`}
                lamp={line.all.slice(line.from + line.skills.length).some((s) => s.frontier)}
                words={`${line.title}: ${ahead} later steps`}
                onOpen={() => slide(line.id, line.from + mostStops - 2)}
              />
            )}
            {line.skills.map((s, i) => {
              const p = place.get(s.id)!;
              const tight = line.skills.length > 6;
              return (
                <g
                  key={s.id}
                  data-skill={s.id}
                  role="button"
                  tabIndex={s.id === tabStop ? 0 : -1}
                  aria-pressed={s.id === focus}
                  aria-label={s.words}
                  className={styles.stop}
                  onClick={() => onFocus(s.id)}
                  onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ' ? (e.preventDefault(), onFocus(s.id)) : move(e, s.id))}
                >
                  <rect x={p.x - 22} y={p.y - 34} width={44} height={76} fill="transparent" />
                  <SignalArm
                    x={p.x}
                    y={p.y}
                    size={1}
                    mastery={s.mastery}
                    seen={s.seen}
                    interval={s.interval}
                    hue={`var(--strand-${line.hue})`}
                    glow={s.frontier}
                  />
                  {s.id === focus && <circle cx={p.x} cy={p.y} r={9} className={styles.focus} />}
                  <text
                    x={p.x}
                    y={p.y + (tight && i % 2 === 1 ? 39 : 23)}
                    className={s.frontier || s.id === focus ? styles.labelStrong : styles.label}
                    textAnchor="middle"
                  >
                    {s.short}
                  </text>
                </g>
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}

/** The folded end of a line: how many steps lie beyond, a lamp if one of them is good next, and a way there. */
function Fold({
  x,
  y,
  text,
  words,
  lamp,
  onOpen,
}: {
  x: number;
  y: number;
  text: string;
  words: string;
  lamp: boolean;
  onOpen: () => void;
}) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={lamp ? `${words}, one of them good next` : words}
      className={styles.fold}
      onClick={onOpen}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ' ? (e.preventDefault(), onOpen()) : undefined)}
    >
      <rect x={x - 4} y={y - 22} width={34} height={44} fill="transparent" />
      {lamp && <circle cx={x + 12} cy={y - 12} r={13} className={styles.lamp} />}
      <text x={x + 12} y={y - 8} textAnchor="middle">
        {text}
      </text>
    </g>
  );
}
