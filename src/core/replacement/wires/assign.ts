/**
 * The cheapest assignment of rows to columns, each column once (Kuhn and Munkres, with potentials).
 * @param costs a row for each thing to place, as long as there are columns; rows ≤ columns; every row can go somewhere (finite)
 * @returns the column of each row
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  // A place that cannot be is dearer than all that can, so that sums stay finite.
  const finite = costs.flat().filter(Number.isFinite);
  const never = (Math.max(0, ...finite) + 1) * (rows + 1);
  const cost = (row: number, column: number): number => Math.min(costs[row]?.[column] ?? never, never);
  const rowAt = new Array<number>(columns).fill(-1);
  const u = new Array<number>(rows).fill(0);
  const v = new Array<number>(columns).fill(0);
  for (let row = 0; row < rows; row += 1) {
    const least = new Array<number>(columns).fill(Infinity);
    const cameFrom = new Array<number>(columns).fill(-1);
    const done = new Array<boolean>(columns).fill(false);
    let at = -1;
    let current = row;
    do {
      let step = Infinity;
      let nearest = -1;
      for (let c = 0; c < columns; c += 1) {
        if (done[c] === true) continue;
        const reduced = cost(current, c) - (u[current] ?? 0) - (v[c] ?? 0);
        if (reduced < (least[c] ?? Infinity)) {
          least[c] = reduced;
          cameFrom[c] = at;
        }
        if ((least[c] ?? Infinity) < step) {
          step = least[c] ?? Infinity;
          nearest = c;
        }
      }
      u[row] = (u[row] ?? 0) + step;
      for (let c = 0; c < columns; c += 1) {
        if (done[c] === true) {
          const holder = rowAt[c] ?? -1;
          u[holder] = (u[holder] ?? 0) + step;
          v[c] = (v[c] ?? 0) - step;
        } else least[c] = (least[c] ?? 0) - step;
      }
      done[nearest] = true;
      at = nearest;
      current = rowAt[at] ?? -1;
    } while (current >= 0);
    while (at >= 0) {
      const before = cameFrom[at] ?? -1;
      rowAt[at] = before < 0 ? row : (rowAt[before] ?? row);
      at = before;
    }
  }
  const columnOf = new Array<number>(rows).fill(-1);
  rowAt.forEach((row, column) => {
    if (row >= 0) columnOf[row] = column;
  });
  return columnOf;
}
