package umbel.light;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.LightParameters;

/**
 * Directions the light comes from over a season and how much each brings to a level surface. Weights sum to one.
 *
 * <p>The diffuse part is a uniform sky sampled evenly in the square of the sine of the zenith angle, turned by the golden
 * angle; the beam is the sun's path at the latitude, its hourly energy shared among the three nearest directions. Beam
 * through clear air after Gates (1980) with transmissivity 0.7; diffuse light of clear sky after Liu and Jordan (1960).
 */
public final class Sky {

    private static final double GOLDEN_ANGLE = 2.399963;
    private static final double FIRST_AZIMUTH = 0.3;
    private static final double SOLAR_CONSTANT = 1367;
    private static final double TRANSMISSIVITY = 0.7;
    private static final double LOWEST_SINE = 0.06;
    private static final double OVERCAST_SHARE = 0.3;

    private final double[][] directions;
    private final double[] weights;

    private Sky(double[][] directions, double[] weights) {
        this.directions = directions;
        this.weights = weights;
    }

    /** One direction only: zenith angle and azimuth (from the x axis' perpendicular, clockwise), radians. */
    public static Sky single(double zenith, double azimuth) {
        double[] direction = {
            Math.sin(zenith) * Math.sin(azimuth), Math.sin(zenith) * Math.cos(azimuth), Math.cos(zenith)
        };
        return new Sky(new double[][] {direction}, new double[] {1});
    }

    /** An evenly bright sky of {@code count} directions. */
    public static Sky uniform(int count) {
        double[][] directions = new double[count][];
        double[] weights = new double[count];
        for (int m = 0; m < count; m++) {
            double s = (m + 0.5) / count;
            double sine = Math.sqrt(s);
            double azimuth = GOLDEN_ANGLE * m + FIRST_AZIMUTH;
            directions[m] = new double[] {sine * Math.sin(azimuth), sine * Math.cos(azimuth), Math.sqrt(1 - s)};
            weights[m] = 1.0 / count;
        }
        return new Sky(directions, weights);
    }

    /** An evenly bright part of the sky about the zenith, {@code halfAngle} radians wide to each side. */
    static Sky cone(int count, double halfAngle) {
        double[][] directions = new double[count][];
        double[] weights = new double[count];
        for (int m = 0; m < count; m++) {
            double height = 1 - (m + 0.5) / count * (1 - Math.cos(halfAngle));
            double sine = Math.sqrt(1 - height * height);
            double azimuth = GOLDEN_ANGLE * m + FIRST_AZIMUTH;
            directions[m] = new double[] {sine * Math.sin(azimuth), sine * Math.cos(azimuth), height};
            weights[m] = 1.0 / count;
        }
        return new Sky(directions, weights);
    }

    /**
     * Sky and sun over the growing season.
     *
     * @param count directions
     * @param latitude radians, north positive; in the south the season is half a year later
     * @param rowBearing radians from north; directions come out in row axes (x along the row, y across it)
     */
    public static Sky season(int count, double latitude, double rowBearing, LightParameters settings) {
        Sky even = uniform(count);
        double[] beams = new double[count];
        double beamSum = 0;
        double clearDiffuse = 0;
        double overcast = 0;
        LightParameters.Season season = settings.season();
        int shift = latitude < 0 ? 182 : 0;
        for (int day = season.fromDay(); day <= season.toDay(); day += season.stepDays()) {
            double n = (day + shift - 1) % 365 + 1.0;
            double declination = Math.toRadians(23.45) * Math.sin(2 * Math.PI * (284 + n) / 365);
            double outside = SOLAR_CONSTANT * (1 + 0.033 * Math.cos(2 * Math.PI * n / 365));
            for (double hour = -180; hour < 180; hour += season.stepHourAngleDeg()) {
                double h = Math.toRadians(hour);
                double sinBeta = Math.sin(latitude) * Math.sin(declination)
                        + Math.cos(latitude) * Math.cos(declination) * Math.cos(h);
                if (sinBeta < LOWEST_SINE) {
                    continue;
                }
                double through = Math.pow(TRANSMISSIVITY, 1 / sinBeta);
                double beam = outside * sinBeta * through;
                double east = -Math.cos(declination) * Math.sin(h);
                double north = Math.cos(latitude) * Math.sin(declination)
                        - Math.sin(latitude) * Math.cos(declination) * Math.cos(h);
                shareAmongNearest(even.directions, toRow(east, north, sinBeta, rowBearing), beam, beams);
                beamSum += beam;
                clearDiffuse += OVERCAST_SHARE * outside * sinBeta * (1 - through);
                overcast += OVERCAST_SHARE * outside * sinBeta;
            }
        }
        double clear = settings.clearShare();
        double direct = clear * beamSum / (clear * (beamSum + clearDiffuse) + (1 - clear) * overcast);
        double[] weights = new double[count];
        for (int m = 0; m < count; m++) {
            weights[m] = (1 - direct) / count + direct * beams[m] / beamSum;
        }
        return new Sky(even.directions, weights);
    }

    /**
     * This sky as rays over sloping ground see it, in coordinates sheared so that the ground is level: directions the slope hides
     * fall away, what is left is weighted as before, so that light is still told against an open level surface.
     *
     * @param along rise of the ground for each metre along the row
     * @param across rise for each metre across it
     */
    public Sky overSlope(double along, double across) {
        if (along == 0 && across == 0) {
            return this;
        }
        List<double[]> seen = new ArrayList<>();
        List<Double> weight = new ArrayList<>();
        for (int m = 0; m < weights.length; m++) {
            double[] d = directions[m];
            double rise = d[2] - along * d[0] - across * d[1];
            if (rise > LOWEST_SINE) {
                seen.add(new double[] {d[0], d[1], rise});
                weight.add(weights[m]);
            }
        }
        return new Sky(
                seen.toArray(double[][]::new),
                weight.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** Sum of the weights: 1 on level ground, less where a slope hides part of the sky. */
    public double total() {
        double total = 0;
        for (double weight : weights) {
            total += weight;
        }
        return total;
    }

    /** Compass east and north turned into row axes: x along the row, y across it. */
    static double[] toRow(double east, double north, double up, double rowBearing) {
        double sin = Math.sin(rowBearing);
        double cos = Math.cos(rowBearing);
        return new double[] {east * sin + north * cos, east * cos - north * sin, up};
    }

    private static void shareAmongNearest(double[][] directions, double[] sun, double energy, double[] into) {
        int[] nearest = {-1, -1, -1};
        double[] cosines = {-2, -2, -2};
        for (int m = 0; m < directions.length; m++) {
            double[] d = directions[m];
            double cosine = d[0] * sun[0] + d[1] * sun[1] + d[2] * sun[2];
            for (int k = 0; k < 3; k++) {
                if (cosine > cosines[k]) {
                    for (int j = 2; j > k; j--) {
                        cosines[j] = cosines[j - 1];
                        nearest[j] = nearest[j - 1];
                    }
                    cosines[k] = cosine;
                    nearest[k] = m;
                    break;
                }
            }
        }
        double total = 0;
        double[] shares = new double[3];
        for (int k = 0; k < 3; k++) {
            if (nearest[k] >= 0) {
                shares[k] = 1 / Math.max(1e-9, 1 - cosines[k]);
                total += shares[k];
            }
        }
        for (int k = 0; k < 3; k++) {
            if (nearest[k] >= 0) {
                into[nearest[k]] += energy * shares[k] / total;
            }
        }
    }

    /** Number of directions. */
    public int size() {
        return weights.length;
    }

    /** Direction {@code m}: x along the row, y across, z up from the ground; of length one on level ground. */
    public double[] direction(int m) {
        return directions[m].clone();
    }

    /** Share of the level surface's light from direction {@code m}. */
    public double weight(int m) {
        return weights[m];
    }
}
