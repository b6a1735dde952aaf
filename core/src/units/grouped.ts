/** Rows by a key, each group in the order of its rows, groups in the order of their first row. */
export function grouped<Row, Key>(rows: Iterable<Row>, keyOf: (row: Row) => Key): Map<Key, Row[]> {
  const groups = new Map<Key, Row[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return groups;
}
