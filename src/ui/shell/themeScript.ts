export const THEME_KEY = "wary-petal-theme";

/** Runs before the first paint: the keeper's choice, else what the system asks for, followed while it changes. */
export const themeScript = `(() => {
  const asked = matchMedia("(prefers-color-scheme: dark)");
  const apply = () => {
    let chosen = null;
    try { chosen = localStorage.getItem("${THEME_KEY}"); } catch {}
    document.documentElement.dataset.bsTheme = chosen ?? (asked.matches ? "dark" : "light");
  };
  apply();
  asked.addEventListener("change", apply);
})()`;
