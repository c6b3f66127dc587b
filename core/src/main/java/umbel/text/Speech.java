package umbel.text;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.Precision;
import com.ibm.icu.text.DateFormat;
import com.ibm.icu.text.ListFormatter;
import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.MeasureUnit;
import com.ibm.icu.util.ULocale;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Date;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Says statements in a language, with numbers and units as its reader writes them. A placeholder written with a capital
 * ({@code {Limb}}) stands at the beginning of a sentence. May be used by several threads.
 */
public final class Speech {

    private static final double INCH = 0.0254;
    /** Metres from which tenths no longer matter. */
    private static final double FAR_M = 30;

    private static final double FOOT = 12 * INCH;
    private static final double POUND = 0.45359237;
    /** Any year; only month and day are told. */
    private static final int SOME_YEAR = 2027;

    private static final double FAHRENHEIT_AT_FREEZING = 32;
    private static final double FAHRENHEIT_PER_KELVIN = 1.8;
    private static final double MILE_AN_HOUR = 0.44704;
    private static final double POUND_FORCE = 4.4482216;
    private static final double FEET_FROM_INCHES = 36;
    private static final String[] EIGHTHS = {"n", "ne", "e", "se", "s", "sw", "w", "nw"};

    private static final Map<String, Speech> KNOWN = new ConcurrentHashMap<>();

    private final Catalogue catalogue;
    private final UnitSystem units;
    private final ULocale locale;
    private final ListFormatter lists;
    private final DateTimeFormatter days;
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();
    private final Map<Integer, LocalizedNumberFormatter> numbers = new ConcurrentHashMap<>();
    private final Map<MonthDay, String> daysOfYear = new ConcurrentHashMap<>();

    private Speech(Catalogue catalogue, UnitSystem units) {
        this.catalogue = catalogue;
        this.units = units;
        this.locale = ULocale.forLocale(Locale.forLanguageTag(catalogue.language()));
        this.lists = ListFormatter.getInstance(locale);
        this.days = DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM)
                .withLocale(Locale.forLanguageTag(catalogue.language()));
    }

    /** English, in metric units. */
    public static Speech english() {
        return of("en", UnitSystem.METRIC);
    }

    /** A language and a system of units; English where the language is not known. */
    public static Speech of(String language, UnitSystem units) {
        Catalogue catalogue = Catalogue.of(language);
        return KNOWN.computeIfAbsent(catalogue.language() + " " + units, key -> new Speech(catalogue, units));
    }

    /** Its units. */
    public UnitSystem units() {
        return units;
    }

    /** Its language. */
    public String language() {
        return catalogue.language();
    }

    /** Whether there is a text for a code. */
    public boolean knows(String code) {
        return catalogue.has(code);
    }

    /** A statement in words; empty for null. */
    public String say(Statement statement) {
        if (statement == null) {
            return "";
        }
        Map<String, Object> values = new HashMap<>();
        statement.values().forEach((name, value) -> {
            Object said = valueOf(value);
            values.put(name, said);
            values.put(capital(name), said instanceof String text ? capital(text) : said);
        });
        return format(statement.code()).clone().format(values);
    }

    /** A value by itself, as a label. */
    public String value(Value value) {
        return String.valueOf(valueOf(value));
    }

    /**
     * What a knowledge file says, in this language and these units; in its own words where it has no translation.
     */
    public String knowledge(String text) {
        String said = catalogue.knowledge(text);
        return said == null || units == UnitSystem.METRIC ? said : MeasuresInProse.told(said, this::value);
    }

    /** Several statements one after another, as sentences. */
    public String say(List<Statement> statements) {
        return String.join(" ", statements.stream().map(this::say).toList());
    }

    private MessageFormat format(String code) {
        return formats.computeIfAbsent(code, key -> new MessageFormat(catalogue.message(key), locale));
    }

    private Object valueOf(Value value) {
        if (value instanceof Value.Length length) {
            return length(length.metres());
        }
        if (value instanceof Value.Reach reach) {
            int digits = reach.metres() < FAR_M ? 1 : 0;
            return units == UnitSystem.US
                    ? measure(reach.metres() / FOOT, digits, MeasureUnit.FOOT)
                    : measure(reach.metres(), digits, MeasureUnit.METER);
        }
        if (value instanceof Value.Thickness thickness) {
            return units == UnitSystem.US
                    ? measure(thickness.metres() / INCH, 1, MeasureUnit.INCH)
                    : measure(thickness.metres() * 1000, 0, MeasureUnit.MILLIMETER);
        }
        if (value instanceof Value.Section section) {
            return units == UnitSystem.US
                    ? measure(section.squareMetres() / (INCH * INCH), 1, MeasureUnit.SQUARE_INCH)
                    : measure(section.squareMetres() * 1e4, 0, MeasureUnit.SQUARE_CENTIMETER);
        }
        if (value instanceof Value.PerLength per) {
            return units == UnitSystem.US
                    ? message("unit.per-foot", number(per.perMetre() * FOOT, 0))
                    : message("unit.per-metre", number(per.perMetre(), 0));
        }
        if (value instanceof Value.Angle angle) {
            return number(Math.toDegrees(angle.radians()), 0) + "°";
        }
        if (value instanceof Value.Share share) {
            return measure(100 * share.share(), 0, MeasureUnit.PERCENT);
        }
        if (value instanceof Value.Mass mass) {
            double told = units == UnitSystem.US ? mass.kilograms() / POUND : mass.kilograms();
            return measure(
                    told,
                    told < 10 && told != Math.rint(told) ? 1 : 0,
                    units == UnitSystem.US ? MeasureUnit.POUND : MeasureUnit.KILOGRAM);
        }
        if (value instanceof Value.Force force) {
            return units == UnitSystem.US
                    ? number(force.newtons() / POUND_FORCE, 0) + " lbf"
                    : number(force.newtons(), 0) + " N";
        }
        if (value instanceof Value.Temperature temperature) {
            return degrees(temperature.celsius(), units == UnitSystem.US ? FAHRENHEIT_AT_FREEZING : 0);
        }
        if (value instanceof Value.TemperatureChange change) {
            return degrees(change.kelvins(), 0);
        }
        if (value instanceof Value.Rain rain) {
            return units == UnitSystem.US
                    ? measure(rain.millimetres() / 1000 / INCH, 1, MeasureUnit.INCH)
                    : measure(rain.millimetres(), 0, MeasureUnit.MILLIMETER);
        }
        if (value instanceof Value.Wind wind) {
            return units == UnitSystem.US
                    ? measure(wind.metresPerSecond() / MILE_AN_HOUR, 0, MeasureUnit.MILE_PER_HOUR)
                    : measure(wind.metresPerSecond(), 0, MeasureUnit.METER_PER_SECOND);
        }
        if (value instanceof Value.Minutes time) {
            return duration(time.minutes());
        }
        if (value instanceof Value.Count count) {
            return count.count();
        }
        if (value instanceof Value.Number number) {
            return number(number.value(), number.digits());
        }
        if (value instanceof Value.Bearing bearing) {
            int eighth = (int) Math.floorMod(Math.round(Math.toDegrees(bearing.radians()) / 45), 8L);
            return catalogue.message("compass." + EIGHTHS[eighth]);
        }
        if (value instanceof Value.Limbs limbs) {
            return limbs(limbs.ids());
        }
        if (value instanceof Value.Term term) {
            return say(Statement.of(term.code()));
        }
        if (value instanceof Value.Choice choice) {
            return choice.word();
        }
        if (value instanceof Value.Sentences sentences) {
            return say(sentences.statements());
        }
        if (value instanceof Value.Several several) {
            return String.join(
                    "; ", several.statements().stream().map(this::say).toList());
        }
        if (value instanceof Value.Name name) {
            return name.text();
        }
        if (value instanceof Value.Day day) {
            return day.date().format(days);
        }
        if (value instanceof Value.DayOfYear day) {
            return dayOfYear(day.day());
        }
        return knowledge(((Value.Words) value).text());
    }

    /** Day and month in the language's own order. */
    private String dayOfYear(MonthDay day) {
        return daysOfYear.computeIfAbsent(
                day,
                key -> DateFormat.getInstanceForSkeleton(DateFormat.ABBR_MONTH_DAY, locale)
                        .format(Date.from(key.atYear(SOME_YEAR)
                                .atStartOfDay(ZoneId.systemDefault())
                                .toInstant())));
    }

    private String length(double metres) {
        if (units == UnitSystem.METRIC) {
            return measure(metres * 100, 0, MeasureUnit.CENTIMETER);
        }
        double inches = metres / INCH;
        return inches < FEET_FROM_INCHES
                ? measure(inches, 0, MeasureUnit.INCH)
                : measure(inches / 12, 1, MeasureUnit.FOOT);
    }

    private String duration(double minutes) {
        return minutes < 0.75
                ? measure(Math.max(5.0, 5.0 * Math.round(minutes * 12)), 0, MeasureUnit.SECOND)
                : measure(minutes, 0, MeasureUnit.MINUTE);
    }

    /** Limbs by name: the leader first, then the others as a list. */
    private String limbs(List<String> ids) {
        List<String> named = ids.stream().filter(id -> !id.equals("trunk")).toList();
        boolean leader = named.size() < ids.size();
        String rest = named.isEmpty()
                ? ""
                : format("limbs").clone().format(Map.of("count", named.size(), "names", lists.format(named)));
        String top = leader ? catalogue.message("leader") : "";
        return leader && !named.isEmpty() ? lists.format(List.of(top, rest)) : top + rest;
    }

    /** Degrees of the reader's scale, whose freezing point lies at {@code zero}. */
    private String degrees(double kelvins, double zero) {
        return units == UnitSystem.US
                ? measure(kelvins * FAHRENHEIT_PER_KELVIN + zero, 0, MeasureUnit.FAHRENHEIT)
                : measure(kelvins, 0, MeasureUnit.CELSIUS);
    }

    private String message(String code, String value) {
        return format(code).clone().format(Map.of("value", value));
    }

    private String measure(double value, int digits, MeasureUnit unit) {
        return NumberFormatter.withLocale(locale)
                .unit(unit)
                .unitWidth(NumberFormatter.UnitWidth.SHORT)
                .precision(Precision.fixedFraction(digits))
                .format(value)
                .toString();
    }

    private String number(double value, int digits) {
        return numbers.computeIfAbsent(
                        digits, key -> NumberFormatter.withLocale(locale).precision(Precision.fixedFraction(key)))
                .format(value)
                .toString();
    }

    /** A text as it stands at the head of a sentence. */
    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
