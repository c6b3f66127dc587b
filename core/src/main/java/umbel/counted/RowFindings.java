package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.reading.Severity;
import umbel.text.Statement;
import umbel.text.Value;

/** What a practised eye sees on a cane row, in the order of the work. */
final class RowFindings {

    private final CountedKind.Row row;
    private final CountingParameters numbers;
    private final CountingParameters.Confidence sure;
    private final RowCount count;
    private final boolean wired;
    private final List<CountFinding> found = new ArrayList<>();

    /** Of what was counted; {@code wired} says whether a wire was measured. */
    RowFindings(CountedKind.Row row, CountingParameters numbers, RowCount count, boolean wired) {
        this.row = row;
        this.numbers = numbers;
        this.sure = numbers.confidence();
        this.count = count;
        this.wired = wired;
    }

    /**
     * All of them, in the order of the work.
     *
     * @param topCm height at which canes are cut, cm; 0 where they are left
     * @param wantedPerMetre canes wanted a metre
     * @param sureOfNumber how sure the number of canes is, 0…1
     */
    List<CountFinding> all(double topCm, double wantedPerMetre, double sureOfNumber) {
        RowCount.Group fresh = count.fresh();
        RowCount.Group now = count.current();
        int standing = count.fruited().count() + (row.isMown() ? fresh.count() : 0);
        if (standing > 0) {
            found.add(finding(
                    CountRule.FRUITED_CANES,
                    row.isMown() ? "canes" : CaneRow.FRUITED,
                    standing,
                    0,
                    "",
                    Severity.ACT,
                    sure.certain(),
                    "kind.fruitsOn"));
        }
        int sick = fresh.diseased() + now.diseased();
        if (sick > 0) {
            found.add(finding(
                    CountRule.UNSOUND_CANE,
                    CaneRow.FRESH + "/diseased",
                    sick,
                    0,
                    "",
                    Severity.ACT,
                    sure.counted(),
                    "survey.condition"));
        }
        int outside = fresh.outside() + now.outside();
        boolean wide = row.suckering() && count.widthCm() > row.width();
        if (!row.isMown() && (wide || outside > 0)) {
            found.add(finding(
                    CountRule.WIDE_ROW,
                    CaneRow.FRESH + "/outside",
                    wide ? count.widthCm() : outside,
                    wide ? row.width() : 0,
                    wide ? "cm" : "",
                    Severity.CONSIDER,
                    sure.judged(),
                    "kind.width_cm"));
        }
        numbers(row.isMown() ? now : fresh, wantedPerMetre, sureOfNumber);
        if (!row.isMown() && fresh.weak() > 0) {
            found.add(finding(
                    CountRule.WEAK_CANE,
                    CaneRow.FRESH + "/weak",
                    fresh.weak(),
                    0,
                    "",
                    Severity.CONSIDER,
                    sure.judged(),
                    "survey.weak"));
        }
        shape(fresh, topCm);
        if (row.trellis().equals("needed") && !wired) {
            found.add(
                    finding(CountRule.NO_TRELLIS, "row", 0, 0, "", Severity.CONSIDER, sure.opinion(), "kind.trellis"));
        }
        return found;
    }

    private void numbers(RowCount.Group of, double wantedPerMetre, double sureOfNumber) {
        double perMetre = (of.count() - of.outside()) / count.length();
        double best = row.perPlant() == null ? row.density().bestPerM() : wantedPerMetre;
        if (of.count() == 0) {
            return;
        }
        if (perMetre > numbers.row().crowded() * best
                || of.strong() / count.length() > row.range().most()) {
            found.add(finding(
                    CountRule.CROWDED_ROW,
                    CaneRow.FRESH,
                    perMetre,
                    row.range().most(),
                    "per-m",
                    Severity.ACT,
                    sureOfNumber,
                    "kind.range_perM"));
        } else if (perMetre < numbers.row().thinRow() * best) {
            found.add(finding(
                    CountRule.THIN_ROW,
                    CaneRow.FRESH,
                    perMetre,
                    row.range().least(),
                    "per-m",
                    Severity.CONSIDER,
                    sureOfNumber,
                    "kind.range_perM"));
        }
    }

    private void shape(RowCount.Group fresh, double top) {
        if (top > 0 && fresh.height() > top + numbers.row().tallByCm() && !row.isMown()) {
            found.add(finding(
                    CountRule.TALL_CANE,
                    CaneRow.FRESH,
                    fresh.height(),
                    top,
                    "cm",
                    Severity.CONSIDER,
                    sure.judged(),
                    "kind.tip"));
        }
        CountedKind.Laterals rule = row.laterals();
        if (rule != null && fresh.lateralLength() > rule.keep() + numbers.row().tallByCm()) {
            found.add(finding(
                    CountRule.LONG_LATERAL,
                    CaneRow.FRESH + "/laterals",
                    fresh.lateralLength(),
                    rule.keep(),
                    "cm",
                    Severity.CONSIDER,
                    sure.judged(),
                    "kind.laterals"));
        }
        if (rule != null && fresh.lowLaterals() > 0) {
            found.add(finding(
                    CountRule.LOW_LATERAL,
                    CaneRow.FRESH + "/laterals/low",
                    fresh.lowLaterals(),
                    0,
                    "",
                    Severity.CONSIDER,
                    sure.judged(),
                    "kind.laterals"));
        }
        if (fresh.rooting() > 0) {
            found.add(finding(
                    CountRule.ROOTING_TIP,
                    CaneRow.FRESH,
                    fresh.rooting(),
                    0,
                    "",
                    Severity.ACT,
                    sure.counted(),
                    "survey.rooting"));
        }
    }

    private static CountFinding finding(
            CountRule rule,
            String of,
            double value,
            double threshold,
            String unit,
            Severity severity,
            double sure,
            String line) {
        Statement measure = Statement.of("count.finding." + rule.id())
                .with("count", Value.count(Math.round(value)))
                .with("length", Value.centimetres(value))
                .with("limit", Value.centimetres(threshold))
                .with("perMetre", new Value.PerLength(value))
                .with("most", new Value.PerLength(threshold))
                .with("unit", Value.choice(unit.isEmpty() ? "count" : unit));
        return new CountFinding(
                rule,
                List.of(of),
                measure,
                value,
                threshold,
                unit,
                severity,
                sure,
                Statement.of("count.why." + rule.id()),
                line);
    }
}
