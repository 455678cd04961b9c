/** Hatches that distinguish things without color. */
export function Patterns() {
  const line = (id: string, size: number, path: string, color: string, width: number) => (
    <pattern id={id} width={size} height={size} patternUnits="userSpaceOnUse">
      <path d={path} stroke={`var(--chakra-colors-${color})`} strokeWidth={width} fill="none" />
    </pattern>
  );
  return (
    <defs>
      {line('unseen', 9, 'M-2 11L11 -2M-2 2L2 -2M7 11L11 7', 'soft', 0.9)}
      {line('dug', 10, 'M-2 -2L12 12M-2 8L2 12M8 -2L12 2', 'signal', 0.55)}
      {line('no-dig', 12, 'M0 0L12 12M12 0L0 12', 'soft', 0.8)}
      {line('hatch-cross', 6, 'M0 0L6 6M6 0L0 6', 'ink', 0.8)}
      <pattern id="hatch-dots" width={5} height={5} patternUnits="userSpaceOnUse">
        <circle cx={1.5} cy={1.5} r={0.9} fill="var(--chakra-colors-ink)" />
      </pattern>
      <pattern id="deposit" width={7} height={7} patternUnits="userSpaceOnUse">
        <circle cx={2} cy={2} r={1.5} fill="var(--chakra-colors-ink)" />
        <circle cx={5.5} cy={5.5} r={1} fill="var(--chakra-colors-ink)" />
      </pattern>
    </defs>
  );
}
