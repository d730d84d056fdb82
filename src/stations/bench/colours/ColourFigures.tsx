import type { ColourStudy } from '../../../core/colourClasses/colourStudy';
import { underText } from '../../../core/colourClasses/colourStudy';
import { number } from '../../../core/text/quantities';
import { oneIn } from '../../../core/text/oneIn';
import { Table } from '../../../ui/Table';

/** The inequalities of each colour, as they are typed into a program. */
export function Rules({ study: { found, references } }: { study: ColourStudy }) {
  return (
    <section aria-label="What to type in">
      <h2>What to type in</h2>
      <ul>
        {found.rules.map(({ name, sentence }) => (
          <li key={name}>{sentence}</li>
        ))}
      </ul>
      {references !== null && (
        <p>
          Red, green and blue are percent of white here: (what it reads − black) / (white − black) ×
          100. Over white it read {references.white.map((one) => number(one)).join(', ')}, over
          black {references.black.map((one) => number(one)).join(', ')}.
        </p>
      )}
      <p className="faint">Try them in this order, and take anything else for none of them.</p>
    </section>
  );
}

interface Row {
  name: string;
  at: number;
}

/** What readings of each colour were taken for. */
export function Confusion({ study: { found } }: { study: ColourStudy }) {
  const { names, counts, none } = found.confusion;
  return (
    <Table
      label="What each was taken for"
      rows={names.map((name, at): Row => ({ name, at }))}
      keyOf={({ name }) => name}
      columns={[
        { title: 'Truly', head: true, cell: ({ name }) => name },
        ...names.map((name, k) => ({
          title: name,
          number: true,
          cell: ({ at }: Row) => counts[at]?.[k] ?? 0,
        })),
        {
          title: 'Like none of them',
          number: true,
          cell: ({ at }: Row) => none[at] ?? 0,
        },
      ]}
    />
  );
}

/** The ways to look at the readings, and how often each is mistaken. */
export function Ways({ study: { found } }: { study: ColourStudy }) {
  return (
    <>
      <Table
        label="By which numbers"
        rows={found.ways}
        keyOf={({ id }) => id}
        columns={[
          { title: 'By', head: true, cell: ({ name }) => name },
          {
            title: 'Mistaken',
            number: true,
            cell: ({ errorRate }) =>
              errorRate.value === 0 ? 'none' : oneIn(errorRate.value, 'reading'),
          },
          {
            title: 'At most (95 %)',
            number: true,
            cell: ({ errorRate }) => oneIn(errorRate.high95, 'reading'),
          },
          {
            title: 'Verdict',
            cell: ({ id, isAlike }) =>
              id === found.representation ? 'recommended' : isAlike ? 'as good so far' : 'worse',
          },
        ]}
      />
      {found.under.length > 0 && (
        <p>Mistaken by unit, height and light: {found.under.map(underText).join('; ')}.</p>
      )}
    </>
  );
}
