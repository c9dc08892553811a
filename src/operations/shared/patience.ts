export { answers, DatabaseSilent, LONGEST_MS, patiently, waitingUntil } from "@/db/patience";
