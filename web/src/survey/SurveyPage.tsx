export function SurveyPage() {
  return null;
}
