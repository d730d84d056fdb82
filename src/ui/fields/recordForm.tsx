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
import {
  hintOf,
  MOST_LETTERS,
  type AnyValue,
  type Fields,
  type NumberValue,
} from '../../core/description/description';
import { Choice } from './Choice';
import { useTellInError } from './fieldsInError';
import { Select } from './Select';
import { TextField } from './TextField';
import { ValueField, type AsShown } from './ValueField';

/** Tells the owner of the record that a field of its form was changed. */
const Changed = createContext<() => void>(() => undefined);

/** So many words lie side by side at most; more are a list. */
const MOST_SIDE_BY_SIDE = 5;

/** What can be chosen where a value is one of a few, each with its word. */
function optionsOf(field: AnyValue): ChoiceProps<FieldValues>['options'] {
  if (field.is === 'flag') {
    return [
      { value: false, label: field.no },
      { value: true, label: field.yes },
    ];
  }
  const options = 'options' in field ? Object.entries<string>(field.options) : [];
  const isNumeral = field.is === 'numeral';
  return options.map(([value, label]) => ({ value: isNumeral ? Number(value) : value, label }));
}

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

interface NumberProps<R extends FieldValues> extends AsShown {
  name: PathTo<R, number | null>;
  field: NumberValue;
  /** May be left empty; it is null then. */
  optional?: boolean | undefined;
  inputRef?: Ref<HTMLInputElement> | undefined;
}

function FormNumber<R extends FieldValues>(props: NumberProps<R>) {
  const { name, optional = props.field.orNothing === true, ...rest } = props;
  const { value, problem, set } = useValue(name);
  return (
    <ValueField
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
  hint?: string | undefined;
}

function FormText<R extends FieldValues>({ name, hint, ...rest }: TextProps<R>) {
  const { value, problem, set } = useValue(name);
  const said = problem ?? hint;
  useTellInError(useId(), problem !== undefined);
  return (
    <TextField
      {...rest}
      value={value as string}
      aria-invalid={problem !== undefined}
      {...(said !== undefined && { hint: said })}
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

interface ValueProps<R extends FieldValues> extends AsShown {
  name: PathTo<R, number | string | boolean | null>;
  field: AnyValue;
  /** It may be left empty, and is null then. */
  optional?: boolean | undefined;
  suggestions?: readonly string[] | undefined;
  inputRef?: Ref<HTMLInputElement> | undefined;
}

/** The field of a value, as it is described. */
function FormValue<R extends FieldValues>(props: ValueProps<R>) {
  const { name, field, suggestions = [], ...rest } = props;
  const { label = field.label, hint = hintOf(field) } = rest;
  if (field.is === 'reference') return null;
  if (field.is === 'number') {
    return <FormNumber<FieldValues> {...{ name, field, ...rest }} />;
  }
  if (field.is === 'text') {
    const maxLength = field.mostLetters ?? MOST_LETTERS;
    return <FormText<FieldValues> {...{ name, label, suggestions, maxLength, hint }} />;
  }
  const options = optionsOf(field);
  return options.length > MOST_SIDE_BY_SIDE ? (
    <FormSelect<FieldValues> {...{ name, label, options }} />
  ) : (
    <FormChoice<FieldValues> {...{ name, label, options }} />
  );
}

/** The fields of all values of a part of the record. */
const FormValues = ({ of, fields }: { of: string; fields: Fields }) =>
  Object.entries(fields).map(([name, field]) => (
    <FormValue<FieldValues> key={name} name={`${of}.${name}`} field={field} />
  ));

/** The fields of a form over such a record, named by the path at which their value stands. */
export const fieldsOf = <R extends FieldValues>() => ({
  Number: FormNumber<R>,
  Text: FormText<R>,
  Choice: FormChoice<R>,
  Select: FormSelect<R>,
  Value: FormValue<R>,
  Values: FormValues,
  /** What stands in the form now: lists and parts that may be missing are drawn from it. */
  useNow: () => useWatch<R>() as R,
});
