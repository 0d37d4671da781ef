'use client';

import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import type { DefaultValues, FieldErrors, Path, PathValue } from 'react-hook-form';
import { useForm, useWatch } from 'react-hook-form';

export interface CheckedForm<T extends object> {
  readonly value: T;
  readonly set: (change: Partial<T>) => void;
  readonly errors: FieldErrors<T>;
  /** true when the server's door would take it */
  readonly sound: boolean;
  /** does it with what is filled in, when that is sound; else shows what is not */
  readonly submit: (work: (value: T) => void) => () => void;
}

/**
 * A form held to the very class that the server's door checks by, so that no rule is written twice.
 * @param door the class with its rules
 */
export function useCheckedForm<T extends object>(door: new () => T, given: T): CheckedForm<T> {
  const { control, setValue, handleSubmit, formState } = useForm<T>({
    defaultValues: given as DefaultValues<T>,
    resolver: classValidatorResolver(door) as never,
    mode: 'onChange',
  });
  const value = useWatch({ control, compute: (all: T) => all });
  return {
    value,
    errors: formState.errors,
    sound: Object.keys(formState.errors).length === 0,
    set: (change) => {
      for (const [field, to] of Object.entries(change))
        setValue(field as Path<T>, to as PathValue<T, Path<T>>, { shouldValidate: true, shouldDirty: true });
    },
    submit: (work) => () => void handleSubmit(() => work(value))(),
  };
}
