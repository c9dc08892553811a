// A thread that reckons what plants may carry: questions come in, answers go out, in the order in which they came.
import { parentPort } from "node:worker_threads";
import { reckonQuestions } from "@/operations/plants/reckonQuestions";
import type { Helping } from "./reckoners";

parentPort!.on("message", ({ id, questions }: Helping) => {
  parentPort!.postMessage({ id, answers: reckonQuestions(questions) });
});
