import { ZxcvbnFactory } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";
import { PASSPHRASE_LEAST } from "@/core/access/commands";

/** Guesses that a passphrase stands at least: what is found among common ones falls far short of it (HOUSE). */
const GUESSES_LEAST = 1e8;

let judge: ZxcvbnFactory | null = null;

/** What is wrong with a passphrase: too short, or one that others try first; null where it may be used. */
export function passphraseProblem(passphrase: string, name: string): "passphrase_short" | "passphrase_common" | null {
  if ([...passphrase].length < PASSPHRASE_LEAST) return "passphrase_short";
  judge ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const { guesses } = judge.check(passphrase, [name, "wary petal", "warypetal"]);
  return guesses < GUESSES_LEAST ? "passphrase_common" : null;
}
