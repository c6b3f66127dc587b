package umbel.text;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;

/** A value of a statement, with its kind, so that it can be put in the reader's units and language. */
public sealed interface Value {

    /** Along wood or over ground, metres; told in centimetres, or inches and feet. */
    record Length(double metres) implements Value {}

    /** Heights and reaches, metres; told in metres, or feet. */
    record Reach(double metres) implements Value {}

    /** Diameter of wood, metres; told in millimetres, or inches. */
    record Thickness(double metres) implements Value {}

    /** Cross-section of wood, m²; told in square centimetres, or square inches. */
    record Section(double squareMetres) implements Value {}

    /** So many on a metre; told a metre, or a foot. */
    record PerLength(double perMetre) implements Value {}

    /** An angle, radians; told in degrees. */
    record Angle(double radians) implements Value {}

    /** A share, 0…1; told in percent. */
    record Share(double share) implements Value {}

    /** A mass, kilograms; told in kilograms, or pounds. */
    record Mass(double kilograms) implements Value {}

    /** A force, newtons; told in newtons, or pounds. */
    record Force(double newtons) implements Value {}

    /** A temperature, degrees Celsius; told in these, or in degrees Fahrenheit. */
    record Temperature(double celsius) implements Value {}

    /** How far a temperature falls or rises, kelvins; told in degrees of the reader's scale. */
    record TemperatureChange(double kelvins) implements Value {}

    /** Rain, millimetres; told in millimetres, or inches. */
    record Rain(double millimetres) implements Value {}

    /** Wind, metres a second; told in these, or in miles an hour. */
    record Wind(double metresPerSecond) implements Value {}

    /** Time, minutes; told in seconds under a minute. */
    record Minutes(double minutes) implements Value {}

    /** A count; a message may choose singular and plural by it. */
    record Count(long count) implements Value {}

    /** A plain number with so many digits behind the point. */
    record Number(double value, int digits) implements Value {}

    /** A direction, radians from north; told as an eighth of the compass. */
    record Bearing(double radians) implements Value {}

    /** Limbs by their names, one or several; {@code trunk} for the leader. */
    record Limbs(List<String> ids) implements Value {

        public Limbs {
            ids = List.copyOf(ids);
        }
    }

    /** Another text of the catalogue that is put in as it is. */
    record Term(String code) implements Value {}

    /** A word that a message chooses by; never shown itself. */
    record Choice(String word) implements Value {}

    /** What a knowledge file says: a name, a reason, a disease; translated where it has a translation. */
    record Words(String text) implements Value {}

    /** What somebody named himself; said as it stands. */
    record Name(String text) implements Value {}

    /** A day. */
    record Day(LocalDate date) implements Value {}

    /** A day of every year. */
    record DayOfYear(MonthDay day) implements Value {}

    /** Other statements, joined as a list. */
    record Several(List<Statement> statements) implements Value {

        public Several {
            statements = List.copyOf(statements);
        }
    }

    /** Other statements, one sentence after another. */
    record Sentences(List<Statement> statements) implements Value {

        public Sentences {
            statements = List.copyOf(statements);
        }
    }

    static Value length(double metres) {
        return new Length(metres);
    }

    static Value centimetres(double cm) {
        return new Length(cm / 100);
    }

    static Value reach(double metres) {
        return new Reach(metres);
    }

    static Value thickness(double metres) {
        return new Thickness(metres);
    }

    static Value millimetres(double mm) {
        return new Thickness(mm / 1000);
    }

    static Value degrees(double degrees) {
        return new Angle(Math.toRadians(degrees));
    }

    static Value share(double share) {
        return new Share(share);
    }

    static Value count(long count) {
        return new Count(count);
    }

    static Value number(double value, int digits) {
        return new Number(value, digits);
    }

    static Value limb(String id) {
        return new Limbs(List.of(id));
    }

    static Value limbs(List<String> ids) {
        return new Limbs(ids);
    }

    static Value name(String text) {
        return new Name(text);
    }

    static Value choice(String word) {
        return new Choice(word);
    }
}
