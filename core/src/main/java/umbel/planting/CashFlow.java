package umbel.planting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Money by year; year 0 is planting.
 *
 * @param net what comes in less what goes out, by year
 */
public record CashFlow(double[] net) {

    private static final double LEAST_RATE = -0.9;
    private static final double MOST_RATE = 3;
    private static final double RATE_STEP = 0.005;
    private static final int HALVINGS = 80;

    public CashFlow {
        net = net.clone();
    }

    /** Present value at a rate: year t is divided by (1 + rate)^t. */
    public double presentValue(double rate) {
        double sum = 0;
        double discount = 1;
        for (double year : net) {
            sum += year / discount;
            discount *= 1 + rate;
        }
        return sum;
    }

    /**
     * Rates at which the present value is nothing, rising. One is the internal rate of return; where money changes its direction
     * more than once there may be several, and then none of them is.
     */
    public List<Double> ratesOfReturn() {
        List<Double> rates = new ArrayList<>();
        double before = presentValue(LEAST_RATE);
        for (double rate = LEAST_RATE + RATE_STEP; rate <= MOST_RATE; rate += RATE_STEP) {
            double now = presentValue(rate);
            if (now == 0) {
                rates.add(rate);
            } else if (before * now < 0) {
                rates.add(root(rate - RATE_STEP, rate));
            }
            before = now;
        }
        return rates;
    }

    /** The internal rate of return; empty where there is none, or more than one, or where money comes in first and is lost later. */
    public OptionalDouble rateOfReturn() {
        List<Double> rates = ratesOfReturn();
        return rates.size() == 1 && presentValue(rates.get(0) - RATE_STEP) > 0
                ? OptionalDouble.of(rates.get(0))
                : OptionalDouble.empty();
    }

    private double root(double low, double high) {
        double from = low;
        double to = high;
        boolean falls = presentValue(from) > 0;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (from + to) / 2;
            if (presentValue(middle) > 0 == falls) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return (from + to) / 2;
    }

    /** What has come in less what went out up to each year. */
    public double[] cumulative() {
        double[] sums = net.clone();
        Arrays.parallelPrefix(sums, Double::sum);
        return sums;
    }

    /** First year from which on the sum is never below nothing again; empty where that does not come. */
    public OptionalInt paybackYear() {
        double[] sums = cumulative();
        int year = sums.length;
        while (year > 0 && sums[year - 1] >= 0) {
            year--;
        }
        return year == sums.length ? OptionalInt.empty() : OptionalInt.of(year);
    }
}
