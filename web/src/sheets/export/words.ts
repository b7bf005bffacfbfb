import type { ExportPlan } from '../../api/client';

export function bytesWords(n: number): string {
  return n < 1e6 ? `${Math.max(1, Math.round(n / 1e3))} kB` : `${(n / 1e6).toFixed(1)} MB`;
}

/** A time that something takes, rounded as people say it. */
export function secondsWords(s: number): string {
  if (s < 90) return `${Math.max(1, Math.round(s))} s`;
  return s < 5400 ? `${Math.round(s / 60)} min` : `${(s / 3600).toFixed(1)} h`;
}

/** What a file would be: its frames, size and length, and what is expected of it. */
export function planWords(p: ExportPlan): string {
  const facts: string[] = [];
  if (p.frames > 1) facts.push(`${p.frames} frames`);
  if (p.width > 0) facts.push(`${p.width} × ${p.height}`);
  if (p.seconds > 0) facts.push(`${Number(p.seconds.toFixed(2))} s`);
  if (p.bytes !== null) {
    const rate = p.seconds > 0 ? ` (${rateWords((p.bytes * 8) / p.seconds)})` : '';
    facts.push(`about ${bytesWords(p.bytes)}${rate}`);
  }
  if (p.workSeconds !== null) facts.push(`made in some ${secondsWords(p.workSeconds)}`);
  return facts.join(' · ');
}

function rateWords(bits: number): string {
  return bits < 1e6 ? `${Math.round(bits / 1e3)} kbit/s` : `${(bits / 1e6).toFixed(1)} Mbit/s`;
}
