import { type Control, Controller, type FieldPathByValue, type FieldValues } from 'react-hook-form'
import { TextField, type TextFieldProps } from './TextField.tsx'

interface Props<T extends FieldValues> extends Omit<TextFieldProps, 'value' | 'onChange' | 'error' | 'name'> {
  readonly control: Control<T>
  readonly name: FieldPathByValue<T, string | undefined>
}

/** A field of a form, with what its form found wrong with it. */
export const FormField = <T extends FieldValues>({ control, name, onBlur, ...rest }: Props<T>) => (
  <Controller
    control={control}
    name={name}
    render={({ field, fieldState }) => (
      <TextField
        {...rest}
        name={field.name}
        value={field.value ?? ''}
        onChange={field.onChange}
        onBlur={() => {
          field.onBlur()
          onBlur?.()
        }}
        inputRef={field.ref}
        error={fieldState.error?.message}
      />
    )}
  />
)
