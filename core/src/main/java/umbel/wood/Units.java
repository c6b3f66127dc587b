package umbel.wood;

/** The one place where the units of formats and screens (cm, mm, degrees) meet SI. */
public final class Units {

    private static final String[] COMPASS = {
        "north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"
    };

    private Units() {}

    /** Metres from centimetres. */
    public static double fromCm(double cm) {
        return cm / 100;
    }

    /** Centimetres from metres. */
    public static double toCm(double metres) {
        return metres * 100;
    }

    /** Metres from millimetres. */
    public static double fromMm(double mm) {
        return mm / 1000;
    }

    /** Millimetres from metres. */
    public static double toMm(double metres) {
        return metres * 1000;
    }

    /** Kilograms from grams. */
    public static double fromGrams(double grams) {
        return grams / 1000;
    }

    /** Radians from degrees. */
    public static double fromDegrees(double degrees) {
        return Math.toRadians(degrees);
    }

    /** Degrees from radians. */
    public static double toDegrees(double radians) {
        return Math.toDegrees(radians);
    }

    /** Square centimetres from square metres. */
    public static double toCm2(double squareMetres) {
        return squareMetres * 1e4;
    }

    /** Section of a round stem, in the square of the diameter's unit. */
    public static double section(double diameter) {
        return Math.PI / 4 * diameter * diameter;
    }

    /** A number rounded to {@code digits} after the point, for answers. */
    public static double round(double value, int digits) {
        double scale = Math.pow(10, digits);
        return Math.round(value * scale) / scale;
    }

    /** A bearing, radians from north, as the word of its eighth of the compass. */
    public static String compass(double bearing) {
        return COMPASS[(int) Math.floorMod(Math.round(toDegrees(bearing) / 45), 8L)];
    }
}
