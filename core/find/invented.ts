/** The finds of the invented season that ships: known by their ids, which no clock and no chance would make. */
const INVENTED = /^[0-9a-f]{8}-[0-9a-f]{4}-7000-8000-7000000000[0-9]{2}$/;

/** Whether a find is one of the invented season. What is simulated is offered for these alone. */
export const isInvented = (findId: string): boolean => INVENTED.test(findId);
