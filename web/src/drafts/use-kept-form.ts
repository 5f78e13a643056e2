import { useEffect } from 'react'
import { type DefaultValues, type FieldValues, type UseFormReturn, useForm } from 'react-hook-form'
import { forget, keep, kept } from '../data/use-kept.ts'

export interface KeptForm<T extends FieldValues> extends UseFormReturn<T> {
  /** It was taken: the next time it is opened it begins anew. */
  readonly done: () => void
}

/** A form whose words survive a reload, another room and another screen's entry, until they are taken or let go. */
export function useKeptForm<T extends FieldValues>(key: string, initial: DefaultValues<T>): KeptForm<T> {
  const form = useForm<T>({ defaultValues: kept(key, initial) })
  const { subscribe } = form
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => keep(key, values) }),
    [subscribe, key],
  )
  return {
    ...form,
    done() {
      form.reset(initial)
      forget(key)
    },
  }
}
