import { percent } from "@/wording/advice/chances";

/** Cases of each reach as shares of all of them. */
export function sharesOf(worth: readonly number[]): readonly number[] {
  const all = worth.reduce((sum, one) => sum + one, 0);
  return worth.map((one) => one / all);
}

/** How a hand's cases divide: much missed, as usual, little missed. */
export function Shares({ name, of }: { name: string; of: readonly number[] }) {
  return (
    <span className="taught-shares" role="img" aria-label={`${name}: ${of.map((share) => percent(share)).join(", ")}`}>
      <span>{name}</span>
      {of.map((share, i) => (
        <i key={i} style={{ flexGrow: share }} />
      ))}
    </span>
  );
}
