package umbel.format;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedNumberTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12|12",
                "12.5|12.5",
                "12,5|12.5",
                "1.234,5|1234.5",
                "1,234.5|1234.5",
                "1 234,5|1234.5",
                "1.234.567|1234567",
                "-0,75|-0.75",
                "2e3|2000"
            })
    void isReadAsPeopleWriteIt(String text, double value) {
        assertThat(TypedNumber.read(text)).hasValue(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "twelve", "12 mm", ",", "-", "1e", "0x10"})
    void whatIsNoNumberIsNone(String text) {
        assertThat(TypedNumber.read(text)).isEmpty();
    }

    @Test
    void aCellThatASpreadsheetWouldRunIsMadeTextAndReadBack() {
        for (String formula : new String[] {"=HYPERLINK(1)", "+cmd", "-2+3", "@SUM", "\t=1"}) {
            assertThat(TableCell.safe(formula)).isEqualTo("'" + formula);
            assertThat(TableCell.plain(TableCell.safe(formula))).isEqualTo(formula);
        }
        for (String harmless : new String[] {"-12.5", "limb 2", "'quoted'", "", "3-14"}) {
            assertThat(TableCell.safe(harmless)).isEqualTo(harmless);
            assertThat(TableCell.plain(TableCell.safe(harmless))).isEqualTo(harmless);
        }
        assertThat(TableCell.safe(null)).isEmpty();
    }
}
