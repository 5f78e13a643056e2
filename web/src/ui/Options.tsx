import styled from 'styled-components'

const Answers = styled.fieldset`
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
  display: grid;
  gap: 2px;
  legend {
    font: 500 16px/1 var(--label);
    padding: 0 0 2px;
  }
  div {
    display: flex;
    flex-wrap: wrap;
    row-gap: 4px;
  }
  label {
    min-height: 48px;
    min-width: 48px;
    padding: 0 10px;
    display: grid;
    place-items: center;
    border: 1.5px solid var(--control);
    margin-left: -1.5px;
    font: 600 17px/1.05 var(--label);
    cursor: pointer;
  }
  input {
    position: absolute;
    opacity: 0;
  }
  label:has(:checked) {
    background: var(--ink);
    color: var(--sheet);
  }
  label:has(:focus-visible) {
    outline: 3px solid var(--predicted);
  }
`

interface Props {
  readonly legend: string
  readonly options: readonly { readonly id: string; readonly title: string }[]
  readonly value: string | undefined
  readonly onChange: (id: string) => void
  /** Marks the first control of a panel, so that `m` goes to it. */
  readonly measure?: number
}

/** One of a few answers, each a target for a gloved finger. */
export function Options({ legend, options, value, onChange, measure }: Props) {
  return (
    <Answers>
      <legend>{legend}</legend>
      <div>
        {options.map((each, index) => (
          <label key={each.id}>
            <input
              type="radio"
              name={legend}
              value={each.id}
              checked={value === each.id}
              {...(index === 0 && { 'data-measure': measure })}
              onChange={() => onChange(each.id)}
            />
            {each.title}
          </label>
        ))}
      </div>
    </Answers>
  )
}
