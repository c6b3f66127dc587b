export function RecordPage() {
  return null;
}
