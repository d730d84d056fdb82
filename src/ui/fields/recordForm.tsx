import {
  createContext,
  useContext,
  useEffect,
  useId,
  useLayoutEffect,
  useState,
  type ComponentProps,
  type ReactNode,
} from 'react';
import type { Ref } from 'react';
import {
  FormProvider,
  useController,
  useForm,
  useFormContext,
  useWatch,
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
} from 'react-hook-form';
import type { ZodType } from 'zod';
import { hintOf, MOST_LETTERS, type AnyValue } from '../../core/description/description';
import { QUANTITIES } from '../../core/quantities/quantities';
import { Choice } from './Choice';
import { useTellInError } from './fieldsInError';
import { NumberField } from './NumberField';
import { Select } from './Select';
import { TextField } from './TextField';
import type { Unit } from './units';

/** Tells the owner of the record that a field of its form was changed. */
const Changed = createContext<() => void>(() => undefined);

interface Props<R extends FieldValues> {
  /** What is edited; it is kept by whoever shows the form. */
  record: R;
  onChange(record: R): void;
  /** Fetches what checks the whole record, and says of each field what does not fit: at the first change. */
  schema(): Promise<ZodType<R>>;
  /** Called at once; whoever takes it asks first whether a field is refused (`useFieldsInError`). */
  onSubmit?: (record: R) => void;
  label?: string;
  id?: string;
  className?: string | undefined;
  children: ReactNode;
}

/**
 * A form over a record that is kept elsewhere: each change goes there at once, and whatever else changes the
 * record is shown. What the record's schema refuses is said at its field.
 */
export function RecordForm<R extends FieldValues>(props: Props<R>) {
  const { record, onChange, schema, onSubmit, label, id, className, children } = props;
  const form = useForm<R>({
    defaultValues: record as DefaultValues<R>,
    resolver: async (values, context, options) => {
      const [{ zodResolver }, fetched] = await Promise.all([
        import('@hookform/resolvers/zod'),
        schema(),
      ]);
      // A record that is edited is whole: what its schema takes and what it gives are alike.
      return zodResolver(fetched as ZodType<R, R>)(values, context, options);
    },
  });
  const { reset, trigger } = form;
  const [first] = useState(record);
  // Within the same stroke: what is typed next must not meet a field that is about to be cleared.
  useLayoutEffect(() => {
    if (record !== first) reset(record, { keepErrors: true, keepFieldsRef: true });
  }, [record, first, reset]);
  useEffect(() => {
    // A record may be changed elsewhere, too (a list, a plan): what is said at the fields goes with it.
    if (record !== first) void trigger();
  }, [record, first, trigger]);
  // At once: while a schema was still on its way, what is typed next would be taken or cleared instead. The
  // fields know their own limits, and the server has the schema as well.
  const submit: ComponentProps<'form'>['onSubmit'] = (event) => {
    event.preventDefault();
    onSubmit?.(record);
  };
  return (
    <FormProvider {...form}>
      <Changed value={() => onChange(structuredClone(form.getValues()))}>
        <form id={id} aria-label={label} className={className} noValidate onSubmit={submit}>
          {children}
        </form>
      </Changed>
    </FormProvider>
  );
}

/** The paths of a record at which such a value stands. */
type PathTo<R extends FieldValues, V> = {
  [P in FieldPath<R>]: FieldPathValue<R, P> extends V ? P : never;
}[FieldPath<R>];

/** What a schema expects, as a field says it. */
const wanted = (message: string | undefined): string | undefined =>
  message === undefined ? undefined : `Wanted here: ${message.replace(/^expected /, '')}.`;

/** A value of the form, what is wrong with it, and how to change it. */
function useValue(name: string) {
  const { control } = useFormContext();
  const changed = useContext(Changed);
  const { field, fieldState } = useController({ name, control });
  const problem = wanted(fieldState.error?.message);
  const set = (value: unknown) => {
    field.onChange(value);
    changed();
  };
  return { value: field.value as unknown, problem, set };
}

/** A value of the form that a field shows in a way of its own. */
export function useRecordValue(name: string): [unknown, (value: unknown) => void] {
  const { value, set } = useValue(name);
  return [value, set];
}

interface NumberProps<R extends FieldValues> {
  name: PathTo<R, number | null>;
  label: string;
  unit: Unit;
  /** Limits in the shown unit. */
  min: number;
  max: number;
  /** May be left empty; it is null then. */
  optional?: boolean;
  hint?: string;
  inputRef?: Ref<HTMLInputElement>;
}

function FormNumber<R extends FieldValues>(props: NumberProps<R>) {
  const { name, optional = false, ...rest } = props;
  const { value, problem, set } = useValue(name);
  return (
    <NumberField
      {...rest}
      value={value as number | null}
      {...(problem !== undefined && { problem })}
      {...(optional && { onClear: () => set(null) })}
      onChange={set}
    />
  );
}

interface TextProps<R extends FieldValues> {
  name: PathTo<R, string>;
  label: string;
  maxLength: number;
  suggestions?: readonly string[];
  hint?: string;
}

function FormText<R extends FieldValues>({ name, ...rest }: TextProps<R>) {
  const { value, problem, set } = useValue(name);
  useTellInError(useId(), problem !== undefined);
  return (
    <TextField
      {...rest}
      value={value as string}
      aria-invalid={problem !== undefined}
      {...(problem !== undefined && { hint: problem })}
      onChange={set}
    />
  );
}

type Choosable = string | number | boolean;

interface ChoiceProps<R extends FieldValues> {
  name: PathTo<R, Choosable>;
  label: string;
  options: readonly { value: Choosable; label: string }[];
}

/** The value that is written so. */
const written = (options: ChoiceProps<FieldValues>['options'], text: string) =>
  options.find(({ value }) => String(value) === text)?.value;

const asText = (options: ChoiceProps<FieldValues>['options']) =>
  options.map(({ value, label }) => ({ value: String(value), label }));

function FormChoice<R extends FieldValues>({ name, label, options }: ChoiceProps<R>) {
  const { value, set } = useValue(name);
  return (
    <Choice
      label={label}
      value={String(value)}
      options={asText(options)}
      onChange={(text) => set(written(options, text))}
    />
  );
}

function FormSelect<R extends FieldValues>({ name, label, options }: ChoiceProps<R>) {
  const { value, set } = useValue(name);
  return (
    <Select
      label={label}
      value={String(value)}
      options={asText(options)}
      onChange={(text) => set(written(options, text))}
    />
  );
}

interface DescribedProps<R extends FieldValues> {
  name: PathTo<R, number | string | boolean | null>;
  field: AnyValue;
  /** It may be left empty, and is null then. */
  optional?: boolean;
  suggestions?: readonly string[] | undefined;
  inputRef?: Ref<HTMLInputElement> | undefined;
}

/** The field of a value, as its kind describes it. */
function FormDescribed<R extends FieldValues>(props: DescribedProps<R>) {
  const { name, field, suggestions = [], ...rest } = props;
  const { label } = field;
  const said = hintOf(field);
  const hint = said === undefined ? {} : { hint: said };
  if (field.is === 'reference') return null;
  if (field.is === 'number') {
    const { unit } = QUANTITIES[field.quantity];
    const [min = 0, max = 0] = [field.min, field.max].map((si) => si * unit.limitsPerSi);
    return <FormNumber<FieldValues> {...{ name, label, unit, min, max, ...hint, ...rest }} />;
  }
  if (field.is === 'text') {
    return (
      <FormText<FieldValues> {...{ name, label, suggestions, ...hint }} maxLength={MOST_LETTERS} />
    );
  }
  const options =
    field.is === 'flag'
      ? [
          { value: true, label: field.yes },
          { value: false, label: field.no },
        ]
      : Object.entries(field.options).map(([value, word]) => ({ value, label: word }));
  return <FormChoice<FieldValues> {...{ name, label, options }} />;
}

/** The fields of a form over such a record, named by the path at which their value stands. */
export const fieldsOf = <R extends FieldValues>() => ({
  Number: FormNumber<R>,
  Text: FormText<R>,
  Choice: FormChoice<R>,
  Select: FormSelect<R>,
  Described: FormDescribed<R>,
  /** What stands in the form now: lists and parts that may be missing are drawn from it. */
  useNow: () => useWatch<R>() as R,
});
