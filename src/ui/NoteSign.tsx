import { noteSign, type NoteResult } from '../core/print/pictures/noteSign';

/** The sign of a note, as it stands on paper. */
export function NoteSign({ result, size = 22 }: { result: NoteResult; size?: number }) {
  return (
    <svg viewBox="0 0 10 10" width={size} height={size} aria-hidden>
      {noteSign(result, 5, 5, 4.2).map((b, i) => {
        const style = { fill: b.fill ? 'currentColor' : 'none', stroke: b.line ? 'currentColor' : 'none', strokeWidth: b.width ?? 0 };
        return b.kind === 'rect' ? (
          <rect key={i} x={b.x} y={b.y} width={b.w} height={b.h} {...style} />
        ) : (
          <ellipse key={i} cx={b.x + b.w / 2} cy={b.y + b.h / 2} rx={b.w / 2} ry={b.h / 2} {...style} />
        );
      })}
    </svg>
  );
}
