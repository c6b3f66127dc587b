import { say } from '../text/say';

const CELL = /^line (\d+)(?:, (.+))?$/;
const PLANT = /^(tree|plant) (\d+), (.+)$/;

/** Where a fault lies in what was sent, as a reader would say it: a cell of a table, a plant of a file, or a field as it is named. */
export function faultPlace(field: string): string {
  const cell = CELL.exec(field);
  if (cell) {
    const line = Number(cell[1]);
    return cell[2] ? say('fault.cell', { line, column: cell[2] }) : say('fault.line', { line });
  }
  const plant = PLANT.exec(field);
  if (plant) return say('fault.plant', { kind: plant[1], number: Number(plant[2]), field: plant[3] });
  return field;
}
