import { z } from "zod";
import { id, requiredText } from "../shared/fields";

/** A private address of the calendar is asked for, with a name to tell it by. */
export const openFeed = z.object({ id, name: requiredText(60) });
export type OpenFeed = z.output<typeof openFeed>;

export const closeFeed = z.object({ id });
export type CloseFeed = z.output<typeof closeFeed>;
