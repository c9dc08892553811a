/** What a walk takes in on each plant unless the keeper says otherwise: the likeliest places, all, or what is pressed. */
export const rounds = ["likely", "all", "own"] as const;
export type Round = (typeof rounds)[number];
