/** How a fault ends that this machine cannot be given: it counts as not run, and not as held. */
export const NOT_RUN = 3;
