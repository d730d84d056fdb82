import { figureText } from '../recipe/figure';
import { printed, type Recipe } from '../recipe/lines';

/** A block as it is printed once. */
export interface Block {
  name: string;
  parameters: { name: string; unit: string }[];
  lines: string[];
}

/** Whether a line calls a block: by a number of its own in the program, without one within a block. */
export function calls(line: string, name: string): boolean {
  const call = line.trim().replace(/^\d[\w.]*: /, '');
  return call === name || call.startsWith(`${name} (`);
}

/** The blocks of a program: what is written alike is one of them, whatever its numbers. */
export class Blocks {
  private readonly known = new Map<string, Block>();

  /** The line that calls a recipe. */
  call(recipe: Recipe): string {
    const { name } = this.blockOf(recipe);
    const values = Object.entries(recipe.parameters).map(
      ([parameter, value]) => `${parameter} = ${figureText(value)}`,
    );
    return values.length === 0 ? name : `${name} (${values.join(', ')})`;
  }

  all(): Block[] {
    return [...this.known.values()];
  }

  private blockOf({ name, parameters, lines }: Recipe): Block {
    const told = Object.entries(parameters).map(([of, { unit }]) => ({ name: of, unit }));
    const text = printed(lines);
    const key = JSON.stringify([name, told, text]);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const alike = this.all().filter(
      (one) => one.name === name || one.name.startsWith(`${name} no. `),
    );
    const own = alike.length === 0 ? name : `${name} no. ${alike.length + 1}`;
    const block = { name: own, parameters: told, lines: text };
    this.known.set(key, block);
    return block;
  }
}
