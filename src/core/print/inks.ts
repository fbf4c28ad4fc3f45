import { type Box, hues, type Tone } from './box';

export const inks = ['colour', 'black', 'thin'] as const;
export type Ink = (typeof inks)[number];

const isHue = (tone: Tone | undefined): boolean => tone !== undefined && (hues as readonly string[]).includes(tone);

/**
 * What becomes of a box when ink is saved: black knows no hues (shapes still tell), thin draws outlines where areas were and
 * leaves washes away.
 */
export function inInk(boxes: readonly Box[], ink: Ink): Box[] {
  if (ink === 'colour') return [...boxes];
  return boxes.flatMap((b): Box[] => {
    const black = (tone: Tone | undefined): Tone | undefined => (isHue(tone) ? 'ink' : tone);
    if (ink === 'black') return [withTones(b, black(b.fill), black(b.line))];
    if (b.kind === 'text') return [withTones(b, black(b.fill), b.line)];
    if (b.fill === undefined || b.fill === 'white') return [withTones(b, b.fill, black(b.line))];
    if (b.fill === 'wash' || b.fill === 'pale') return b.line ? [withTones(b, undefined, black(b.line))] : [];
    // A filled shape is outlined; what is smaller than two millimetres stays full, or it would vanish.
    if (Math.max(b.w, b.h) < 2) return [withTones(b, 'ink', black(b.line))];
    return [{ ...withTones(b, undefined, 'ink'), width: Math.min(b.width ?? 0.3, 0.3) }];
  });
}

function withTones(b: Box, fill: Tone | undefined, line: Tone | undefined): Box {
  const { fill: _fill, line: _line, ...rest } = b;
  return { ...rest, ...(fill ? { fill } : {}), ...(line ? { line } : {}) };
}
