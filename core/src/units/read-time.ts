/** What a person types for a time: `7`, `730`, `7.30`, `07:30`, `7:30 pm`. `HH:MM` of 24 hours, or undefined when the text is no time. */
export function readTime(text: string): string | undefined {
  const match = /^(\d{1,2})(?:[:.h ]?(\d{2}))?(?: ?([ap])\.?m\.?)?$/i.exec(text.trim());
  const half = match?.[3]?.toLowerCase();
  if (half && (Number(match![1]) > 12 || Number(match![1]) === 0)) return undefined;
  const hour = half ? (Number(match![1]) % 12) + (half === "p" ? 12 : 0) : Number(match?.[1]);
  const minute = Number(match?.[2] ?? 0);
  if (!match || hour > 23 || minute > 59) return undefined;
  return `${String(hour).padStart(2, "0")}:${String(minute).padStart(2, "0")}`;
}
