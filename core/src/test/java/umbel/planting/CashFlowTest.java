package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CashFlowTest {

    private static CashFlow of(double... net) {
        return new CashFlow(net);
    }

    /** An annuity: 100 a year for n years at r is worth 100 (1 - (1 + r)^-n) / r. */
    @ParameterizedTest
    @CsvSource({"0.05, 10, 772.17", "0.08, 25, 1067.48", "0.12, 5, 360.48"})
    void theValueOfAnAnnuityIsTheClosedForm(double rate, int years, double value) {
        double[] net = new double[years + 1];
        java.util.Arrays.fill(net, 1, years + 1, 100);
        assertThat(new CashFlow(net).presentValue(rate)).isCloseTo(value, within(0.01));
    }

    @Test
    void theRateOfReturnIsThatOfTheClosedForm() {
        assertThat(of(-100, 110).rateOfReturn()).hasValueCloseTo(0.10, within(1e-9));
        // 1000 for 1331 after three years: the third root of 1.331
        assertThat(of(-1000, 0, 0, 1331).rateOfReturn()).hasValueCloseTo(0.10, within(1e-9));
        assertThat(of(-100, -10, 50).rateOfReturn().orElseThrow()).isNegative();
        assertThat(of(-100, -10).rateOfReturn()).isEmpty();
        assertThat(of(100, -110).ratesOfReturn()).hasSize(1);
        assertThat(of(100, -110).rateOfReturn()).as("borrowed, not returned").isEmpty();
    }

    /** -1000 + 2300 / q - 1320 / q² is nothing at 10 and at 20 %. */
    @Test
    void whereMoneyTurnsTwiceThereAreTwoRatesAndNoneIsTheRateOfReturn() {
        CashFlow twice = of(-1000, 2300, -1320);
        assertThat(twice.ratesOfReturn()).hasSize(2);
        assertThat(twice.ratesOfReturn().get(0)).isCloseTo(0.10, within(1e-9));
        assertThat(twice.ratesOfReturn().get(1)).isCloseTo(0.20, within(1e-9));
        assertThat(twice.rateOfReturn()).isEmpty();
    }

    @Test
    void paidBackIsWhatStaysPaidBack() {
        assertThat(of(-100, 60, 60, 10).paybackYear()).hasValue(2);
        assertThat(of(-100, 120, -50, 60).paybackYear())
                .as("in year two it is owed again")
                .hasValue(3);
        assertThat(of(-100, 60).paybackYear()).isEmpty();
        assertThat(of(-100, 60, 60).cumulative()).containsExactly(-100, -40, 20);
    }
}
