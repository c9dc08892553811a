import { createHash, randomBytes } from "node:crypto";
import { hash, verify, type Options } from "@node-rs/argon2";
import PQueue from "p-queue";

/**
 * What passphrases are hashed with: Argon2id with 3 passes over 64 MiB in 4 lanes.
 * Source: RFC 9106, section 4, the second recommended option. The package's own algorithm is Argon2id.
 */
const ARGON2: Options = { timeCost: 3, memoryCost: 64 * 1024, parallelism: 4, outputLen: 32 };

/** Each takes 64 MiB: never more than two at once, however many ask. */
const one = new PQueue({ concurrency: 2 });

export function hashPassphrase(passphrase: string): Promise<string> {
  return one.add(() => hash(passphrase.normalize("NFC"), ARGON2)) as Promise<string>;
}

/** Of nobody: whoever asks for a name that is not there waits as long as for one that is. */
let nobodys: Promise<string> | null = null;

/** Whether a passphrase is the one that was hashed; with null it takes as long, and is not. */
export async function isPassphrase(hashed: string | null, passphrase: string): Promise<boolean> {
  const against = hashed ?? (await (nobodys ??= hashPassphrase(randomBytes(16).toString("hex"))));
  const same = (await one.add(() => verify(against, passphrase.normalize("NFC")))) as boolean;
  return same && hashed !== null;
}

/** A secret that nobody guesses, as links and cookies carry it: 256 bits, 43 characters. */
export function newSecret(): string {
  return randomBytes(32).toString("base64url");
}

/** What is kept of a secret. It has too many values to be found by trying, so that a plain hash is enough. */
export function hashSecret(secret: string): Buffer {
  return createHash("sha256").update(secret).digest();
}

/** Letters and digits that are not taken for each other on paper. */
const LETTERS = "ABCDEFGHJKMNPQRSTVWXYZ23456789";
const CODE_LENGTH = 16;

/** Codes for whoever forgets their passphrase, in groups of four: 78 bits each. */
export function newRecoveryCodes(count: number): string[] {
  return Array.from({ length: count }, () => {
    let code = "";
    while (code.length < CODE_LENGTH)
      for (const byte of randomBytes(CODE_LENGTH))
        // A byte too many would make some letters likelier than others.
        if (byte < 256 - (256 % LETTERS.length) && code.length < CODE_LENGTH) code += LETTERS[byte % LETTERS.length];
    return code.match(/.{4}/g)!.join("-");
  });
}

/** A code as it was typed: small letters, spaces and dashes make no difference. */
export function plainCode(typed: string): string {
  return typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, "");
}
