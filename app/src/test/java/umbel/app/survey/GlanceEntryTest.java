package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.text.Statement;
import umbel.text.Value;

class GlanceEntryTest {

    @Test
    void aStatementWithEveryKindOfValueIsKeptWhole() {
        Statement reason = Statement.of("block.weak")
                .with("length", new Value.Length(1.5))
                .with("reach", new Value.Reach(2.4))
                .with("thickness", new Value.Thickness(0.03))
                .with("angle", new Value.Angle(1.1))
                .with("share", Value.share(0.4))
                .with("mass", new Value.Mass(3))
                .with("count", Value.count(7))
                .with("number", Value.number(2.25, 1))
                .with("bearing", new Value.Bearing(3))
                .with("limbs", new Value.Limbs(List.of("1", "2a")))
                .with("term", new Value.Term("runt"))
                .with("choice", Value.choice("yes"))
                .with("name", Value.name("Kiln Field 2-5"))
                .with("day", new Value.Day(LocalDate.of(2026, 2, 3)))
                .with("time", new Value.DayOfYear(MonthDay.of(4, 30)))
                .with("several", new Value.Several(List.of(Statement.of("block.gap"))));
        Glance glance = new Glance(6, 12, 3.25, 2, 5, "crossing", reason, 0.21, true);
        GlanceEntry entry = new GlanceEntry(7);
        entry.tell(glance, "this version");
        assertThat(entry.glance()).isEqualTo(glance);
    }

    @Test
    void aPlantWithoutFindingsHasNoReason() {
        Glance glance = new Glance(6, 12, 3.25, 0, 0, "", null, 0.21, false);
        GlanceEntry entry = new GlanceEntry(7);
        entry.tell(glance, "this version");
        assertThat(entry.glance()).isEqualTo(glance);
    }
}
