import pg from "pg";

/**
 * The database's client, heard from its first moment on. The library listens to a connection only once it has been handed over; one that the server ends
 * in the very tick in which it comes up would say so to nobody, and that ends the process.
 */
class HeardClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    // What it comes to the statement that is asked of it next is told.
    this.on("error", () => {});
  }
}

/** For the library's `dialectModule`. */
export const driver = { ...pg, types: pg.types, Client: HeardClient };
