/** What makes a plant touchy about a remedy, or lets it bear more; a plant may have several. */
export const sensitivities = [
  /** Leaves that oil ruins: fine hairs, jewel-like leaves, or known to scorch. Neem is an oil. */
  "oilShy",
  /** Known to scorch or drop its leaves after soap. */
  "soapShy",
  /** Known to scorch under alcohol, however thin. */
  "alcoholShy",
  /** A wax bloom that oil, soap and alcohol strip for good. */
  "waxBloom",
  /** Leaves so thin or soft that only the weakest mix is bearable. */
  "thinLeaf",
  /** Velvet leaves: no oil; weak neem by those who have tested it. */
  "velvet",
  /** A crown that rots where water stands in it. */
  "crownRot",
  /** Milky sap that burns skin and eyes. */
  "milkySap",
  /** Spines or glochids: tongs, not fingers. */
  "spiny",
  /** Rests dry in winter; a wet mix rots it. */
  "winterDry",
  /** Known to bear neat 70 % alcohol: a skin, not a leaf. */
  "bearsNeat",
  /** Something of it is eaten. */
  "eaten",
  /** It will not grow and nobody knows why: nothing hard is done to it. */
  "sickly",
] as const;
export type Sensitivity = (typeof sensitivities)[number];
