import { lookColour } from '../../control/lookColour';
import { withoutUnit } from '../recipeOf';
import type { OwnerOf } from '../descriptions';
import type { OwnerKind } from '../kind';
import { ANY, NONE } from './description';
import { colourLines } from './lines';
import { coloursTold } from './told';
import { toldWords } from './words';

const answerOf = (name: string): string => `classes.${name}`;

export const decideColour: OwnerKind<OwnerOf<'decide-colour'>> = {
  group: 'block',
  isOffered: () => true,
  asAdded: ({ robot }) => {
    const known = robot.measured.colours[0]?.classes.map(({ name }) => name) ?? [];
    const names = known.length > 0 ? known.slice(0, 2) : ['red', 'green'];
    return {
      kind: 'decide-colour',
      colour: ANY,
      classes: Object.fromEntries(names.map((name) => [name, []])),
      usual: NONE,
      otherwise: [],
    };
  },
  needs: () => ['colour sensor'],
  things: ({ classes }) => ({ colour: Object.keys(classes).map((name) => ({ id: name, name })) }),
  *inOrder(step, { made, ask }) {
    const names = Object.keys(step.classes);
    const nameOf = (answer: string) => names.find((one) => answerOf(one) === answer) ?? NONE;
    const lists = [...names.map((name) => ['classes', name]), [NONE]];
    const answer = yield* ask({
      usual: names.includes(step.usual) ? answerOf(step.usual) : NONE,
      decides: lists.map((at) => ({ list: at.join('.'), at })),
      withUsual: (usual) => ({ ...step, usual: nameOf(usual) }),
      looksAt: [],
      answers: [...names.map(answerOf), NONE],
      told: (robot) => toldWords(step, robot),
      ask(_leg, robot) {
        const { unit, references, rules } = coloursTold(step, robot);
        const controller = lookColour({ unitId: unit?.id ?? null, references, rules });
        return {
          controller,
          answer: () => {
            const colour = controller.colour();
            return colour === null ? NONE : answerOf(colour);
          },
        };
      },
      doubts: (robot) => (coloursTold(step, robot).unknown.length > 0 ? ['unknown-colour'] : []),
      lines({ planned, program, call }) {
        const told = coloursTold(step, program.robot);
        if (told.unit === null) return withoutUnit('colour').lines;
        const block = {
          name: `look which colour ${program.read(told.unit, 'red').replace(/ red$/, '')} sees`,
          parameters: {},
          lines: ['stop both motors', program.loop, ...colourLines(told, names, program)],
        };
        return [`${planned.number}: ${call(block)}`];
      },
    });
    yield* made(answer);
  },
  times: () => 1,
  repeats: false,
};
