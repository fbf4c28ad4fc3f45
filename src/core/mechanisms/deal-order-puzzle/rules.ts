import type { DealOrderParameters } from './parameters';

/**
 * The place in the packet, from the top, of each card in the order in which it is dealt,
 * for any number of cards and any pattern of cards put underneath: the packet of places
 * is dealt by the rule itself. Cost: the number of moves.
 */
export function dealOrder(p: DealOrderParameters): number[] {
  const packet = Array.from({ length: p.cards }, (_, i) => i);
  const dealt: number[] = [];
  for (let deal = 0; packet.length > 0; deal++) {
    const moves = p.pattern === 'one-more-each-time' ? p.under + deal : p.under;
    if (deal > 0 || p.starts === 'put-under') for (let m = 0; m < moves; m++) packet.push(packet.shift()!);
    dealt.push(packet.shift()!);
  }
  return dealt;
}

/** The packet from top to bottom that shows the numbers in order. */
export function arrangement(p: DealOrderParameters): number[] {
  const packet = Array<number>(p.cards);
  dealOrder(p).forEach((place, i) => (packet[place] = (p.direction === 'rising' ? i + 1 : p.cards - i) * p.step));
  return packet;
}

/** Deals a packet and tells whether the numbers come out in order. */
export function comesOutInOrder(p: DealOrderParameters, packet: readonly number[]): boolean {
  const shown = dealOrder(p).map((place) => packet[place]!);
  return shown.every((n, i) => i === 0 || n - shown[i - 1]! === (p.direction === 'rising' ? p.step : -p.step));
}
