const DEADLOCK = "40P01";
const TRIES = 5;

/**
 * Does something again where it and another waited for each other and the database ended it: nothing of it stands then. `work` is a
 * transaction of its own, or begins with nothing done. Everything else that is thrown, and the last deadlock, goes on.
 */
export async function pastDeadlocks<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await work();
    } catch (error) {
      if (codeOf(error) !== DEADLOCK || tries === TRIES) throw error;
    }
  }
}

/** What PostgreSQL calls what went wrong, whether its driver or Sequelize tells it. */
function codeOf(error: unknown): string | undefined {
  const { code, parent } = error as { readonly code?: string; readonly parent?: { readonly code?: string } };
  return parent?.code ?? code;
}
