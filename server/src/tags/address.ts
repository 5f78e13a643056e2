/** The address of a bicycle’s tag, where this workshop answers on its network. */
export const tagAddress = (places: readonly string[], code: string): string | undefined =>
  places[0] && `${places[0]}/b/${code}`
