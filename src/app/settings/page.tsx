import type { Metadata } from "next";
import { currentContext } from "../_parts/context";
import { SettingsForm } from "./_parts/SettingsForm";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  const { id: _id, ...settings } = (await currentContext()).collection;
  return (
    <>
      <h1>Settings</h1>
      <SettingsForm settings={settings} zones={Intl.supportedValuesOf("timeZone")} />
    </>
  );
}
