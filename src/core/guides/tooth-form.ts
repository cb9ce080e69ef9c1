/** Pins are half a pitch thick: between those of roller chains (0.62 and 0.67 of the pitch) and those of long links. */
const PIN = 0.5;
/** Places along a quarter of a gap between two teeth. */
const ALONG_SEAT = 6;
const ALONG_FLANK = 6;
/** Teeth that come to a point keep a little breadth, of this share of half a pitch. */
const POINTED = 0.97;

/**
 * The outline of a wheel that carries links of this pitch: x, z in metres about its middle, turned from x to z, with a gap between two
 * teeth, where a pin lies, towards +x. The tooth form with the flattest flanks: with d1 the pin's diameter and z teeth, seats of radius
 * 0.505 d1 over 140 deg - 90 deg / z, flanks of radius 0.12 d1 (z + 2), tips at d + p (1 - 1.6 / z) - d1 (ISO 606, from memory).
 */
export function toothForm(teeth: number, pitch: number): readonly (readonly [number, number])[] {
  const z = Math.max(Math.round(teeth), 3);
  const half = Math.PI / z;
  const middle = pitch / (2 * Math.sin(half));
  const pin = PIN * pitch;
  const seat = 0.505 * pin;
  const opening = ((140 - 90 / z) * Math.PI) / 360;
  const flank = 0.12 * pin * (z + 2);
  const tip = middle + Math.max((pitch * (1 - 1.6 / z) - pin) / 2, 0.05 * pitch);
  // One half of a gap, from its ground to the tooth's middle: u outwards, v towards the tooth.
  const side: [number, number][] = [];
  for (let i = 0; i <= ALONG_SEAT; i++) {
    const angle = (opening * i) / ALONG_SEAT;
    side.push([middle - seat * Math.cos(angle), seat * Math.sin(angle)]);
  }
  // The flank goes on where the seat ends, bent the other way, up to the tip or to where it meets that of the next gap.
  const [cu, cv] = [middle - (seat + flank) * Math.cos(opening), (seat + flank) * Math.sin(opening)];
  const onFlank = (turn: number): [number, number] => [
    cu + flank * Math.cos(opening - turn),
    cv - flank * Math.sin(opening - turn),
  ];
  let [most, beyond] = [0, opening];
  for (let i = 0; i < 40; i++) {
    const turn = (most + beyond) / 2;
    const [u, v] = onFlank(turn);
    if (Math.hypot(u, v) < tip && Math.atan2(v, u) < half * POINTED) most = turn;
    else beyond = turn;
  }
  for (let i = 1; i <= ALONG_FLANK; i++) side.push(onFlank((most * i) / ALONG_FLANK));
  const gap = [
    ...side
      .slice(1)
      .reverse()
      .map(([a, b]) => [a, -b] as const),
    ...side,
  ];
  return Array.from({ length: z }, (_, k) => {
    const [c, s] = [Math.cos(2 * half * k), Math.sin(2 * half * k)];
    return gap.map(([a, b]) => [a * c - b * s, a * s + b * c] as const);
  }).flat();
}
