/** The files of the workshop are gone, replaced or damaged: nothing more is written. */
export class DataTrouble extends Error {}
