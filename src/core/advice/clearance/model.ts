/** Goes up with every change that makes the model give another answer for the same case; kept answers are then made anew. */
export const MODEL_VERSION = 5;
