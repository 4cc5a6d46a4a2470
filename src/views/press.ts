// The heat press, as the bench shows it. Types only.

/** Null where none is connected: it is worked by its own display. */
export type PressView = {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly isOn: boolean;
  /** °C; null where a reading was lost. */
  readonly temperatureC: number | null;
  readonly targetC: number;
  /** 0 when it is hot, null while that can’t be told. */
  readonly readyInS: number | null;
  readonly closedForS: number | null;
} | null;
