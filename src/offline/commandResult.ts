/** What a command's server action or route answers: the operation's value, or problems in words, each at its field. */
export type CommandResult =
  | { readonly ok: true; readonly value: Record<string, unknown> }
  | {
      readonly ok: false;
      /** The command may be as it should: sending it again may help. */
      readonly retry?: true;
      /** What was asked for is so already, though not by this command. */
      readonly done?: true;
      /** Somebody else is at this browser than whoever it was made by: it waits for them. */
      readonly another?: true;
      readonly problems: readonly { readonly path: string; readonly message: string }[];
    };
