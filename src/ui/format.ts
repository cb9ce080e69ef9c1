/** "128.40 m", "0.85 m", "13 mm". */
export function metres(x: number): string {
  if (!Number.isFinite(x)) return Number.isNaN(x) ? 'no number' : 'endless';
  const size = Math.abs(x);
  if (size < 1e-9) return '0 m';
  return size < 0.1 ? `${trim((x * 1000).toFixed(size < 0.001 ? 2 : size < 0.01 ? 1 : 0))} mm` : `${x.toFixed(2)} m`;
}

/** A radius: "9.2 m"; where there is no bend, "straight". */
export const radius = (x: number): string => (x === Infinity ? 'straight' : x >= 1 ? `${x.toFixed(1)} m` : metres(x));

/** Stretch as a change in percent: 1.0031 is "0.31 % long". */
export function stretchWords(stretch: number): string {
  const percent = (stretch - 1) * 100;
  if (Math.abs(percent) < 0.005) return 'at their own length';
  if (stretch >= 2) return `stretched ${times(stretch)}`;
  return `each ${percentText(Math.abs(percent))} ${percent > 0 ? 'long' : 'short'}`;
}

/** A factor: "4.3 times". */
export const times = (factor: number): string => `${factor < 10 ? factor.toFixed(1) : whole(factor)} times`;

export const percentText = (percent: number): string => `${percent.toFixed(Math.abs(percent) < 10 ? 2 : 0)} %`;
export const signed = (text: string, x: number): string => (x > 0 ? `+${text}` : text);
export const degrees = (radians: number): string =>
  `${trim(((radians * 180) / Math.PI).toFixed(1)).replace(/^-0$/, '0')}°`;
export const whole = (n: number): string => Math.round(n).toLocaleString('en');
export const seconds = (s: number): string => `${s.toFixed(1)} s`;
/** A moment to a hundredth of a second: "1.25 s". */
export const moment = (s: number): string => `${s.toFixed(2)} s`;
export const plural = (n: number, one: string, many = `${one}s`): string => `${whole(n)} ${n === 1 ? one : many}`;

const trim = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** "12:04". */
export const clock = (at: number): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
/** Bytes in kilobytes or megabytes, binary. */
export const bytesText = (bytes: number): string =>
  bytes < 1048576 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1048576).toFixed(bytes < 10485760 ? 1 : 0)} MB`;
