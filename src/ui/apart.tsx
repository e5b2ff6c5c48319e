/** Who does something else meanwhile, a line each. */
export function Apart({ lines }: { lines: readonly string[] }) {
  return lines.map((line) => (
    <strong key={line} style={{ display: 'block' }}>
      {line}
    </strong>
  ))
}
