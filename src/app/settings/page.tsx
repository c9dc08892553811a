import type { Metadata } from "next";
import { zoneNames } from "@/zones";
import { ThemeSwitch } from "@/ui/shell/ThemeSwitch";
import { currentContext } from "../_parts/context";
import { SettingsForm } from "./_parts/SettingsForm";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  const { id: _id, isDemo: _demo, ...settings } = (await currentContext()).collection;
  return (
    <>
      <div className="d-flex justify-content-between align-items-center mb-3">
        <h1 className="mb-0">Settings</h1>
        <ThemeSwitch className="btn btn-outline-primary d-lg-none d-flex gap-2 align-items-center" />
      </div>
      <SettingsForm settings={settings} zones={zoneNames()} />
    </>
  );
}
