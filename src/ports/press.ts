// What Chiral needs of a heat press. A driver for a real one fulfils the same; which there is, is chosen in
// server/devices.ts.

export type PressReading = {
  readonly isOn: boolean;
  /** Of the platen as its sensor says, °C; null where a reading was lost. */
  readonly temperatureC: number | null;
  readonly targetC: number;
  /** Seconds until it is as hot as it should be; 0 when it is, null while that can't be told. */
  readonly readyInS: number | null;
  /** Seconds since it was closed; null while it is open. */
  readonly closedForS: number | null;
};

export type Press = {
  /** As it is shown; a simulated one says so. */
  readonly name: string;
  readonly isSimulated: boolean;
  read(): PressReading;
  /** It warms up, or cools down, to this. */
  heatTo(temperatureC: number): void;
  close(): void;
  open(): void;
  switchOff(): void;
};
