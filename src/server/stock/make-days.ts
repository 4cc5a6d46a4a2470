/** Days before the due day by which material has to be here: making it takes one. */
export const DAYS_TO_MAKE = 1;
