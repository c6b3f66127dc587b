package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.text.Statement;
import umbel.text.Value;

/** The steps of one plan for a bush, as they are thought of. */
final class BushWork {

    private final CountedKind.Bush bush;
    private final CountingParameters numbers;
    private final List<BushCane> canes;
    private final int leaf;
    private final int flowerBuds;
    private final BushSeasons model;
    private final CountReading reading;
    private final List<CountStep> steps = new ArrayList<>();

    BushWork(
            CountedKind.Bush bush,
            CountingParameters numbers,
            List<BushCane> canes,
            int leaf,
            int flowerBuds,
            BushSeasons model,
            CountReading reading) {
        this.bush = bush;
        this.numbers = numbers;
        this.canes = canes;
        this.leaf = leaf;
        this.flowerBuds = flowerBuds;
        this.model = model;
        this.reading = reading;
    }

    /** The steps so far. */
    List<CountStep> steps() {
        return steps;
    }

    /** A cane out at the ground. */
    void remove(BushChoice.Taken one) {
        steps.add(removal(one));
    }

    /** An old cane out, or headed to a strong shoot where young canes are missing. */
    void renew(BushChoice.Taken one, BushChoice choice) {
        steps.add(renewal(one, choice));
    }

    private CountStep removal(BushChoice.Taken one) {
        BushCane cane = one.cane();
        CountingParameters.Confidence by = numbers.confidence();
        double sure = one.ground() == BushChoice.Ground.UNSOUND
                ? by.certain()
                : one.required() ? by.judged() : sureOfAge(cane);
        return new CountStep(
                CountOperation.remove(cane.id(), 1),
                one.ground().stage(),
                cane.measured() ? cane.diameterMm() : cane.usualMm(),
                minutes(cane),
                leafShare(cane),
                CountSteps.answering(reading, one.ground().rule()),
                sure,
                !one.required() && one.margin() < numbers.bush().points().close(),
                null,
                reason(one));
    }

    private CountStep renewal(BushChoice.Taken one, BushChoice choice) {
        BushCane cane = one.cane();
        long young =
                choice.standing().stream().filter(other -> other.age() == 1).count();
        boolean shoot = !Double.isNaN(cane.uprightShootCm())
                && cane.uprightShootCm() <= numbers.bush().strongShootCm()
                && young < numbers.bush().newWanted();
        CountStep away = removal(one);
        return shoot
                ? new CountStep(
                        CountOperation.head(cane.id(), cane.uprightShootCm()),
                        away.stage(),
                        away.diameterMm(),
                        away.minutes(),
                        away.share(),
                        away.rules(),
                        away.confidence(),
                        away.closeCall(),
                        CountOperation.remove(cane.id(), 1),
                        Statement.of("count.reason.head-to-shoot")
                                .with("age", Value.count(cane.age()))
                                .with("at", Value.centimetres(cane.uprightShootCm())))
                : away;
    }

    private Statement reason(BushChoice.Taken one) {
        BushCane cane = one.cane();
        return Statement.of("count.reason.bush")
                .with("ground", Value.choice(one.ground().name().toLowerCase(Locale.ROOT)))
                .with("age", Value.count(cane.age()))
                .with("known", Value.choice(cane.ageKnown() ? "yes" : "no"))
                .with("measured", Value.choice(cane.measured() ? "yes" : "no"))
                .with("thickness", Value.millimetres(cane.measured() ? cane.diameterMm() : cane.usualMm()))
                .with("place", Value.choice(cane.place() == null ? "none" : cane.place()))
                .with("attitude", Value.choice(cane.attitude() == null ? "none" : cane.attitude()))
                .with("bears", Value.share(bush.yieldByAge().get(bush.index(cane.age()))));
    }

    /** Takes flower buds off a bush that may not carry what it has; whether any were. */
    boolean deflower(List<BushCane> stay) {
        BushSeasons.Stand stand = model.stand(stay, leaf);
        double potential = model.potential(stand);
        double allowed = model.allowed(leaf, potential);
        boolean young = leaf <= bush.young().cropByLeaf().size()
                || leaf <= bush.young().cropShare().leaf();
        double carried = flowerBuds * bush.flowerBudG() / 1000;
        boolean over = young
                ? flowerBuds > 0 && carried > allowed
                : carried > numbers.bush().overBearing() * potential;
        if (!over && !(young && allowed == 0)) {
            return false;
        }
        int keep = (int) Math.round((young ? allowed : potential) * 1000 / bush.flowerBudG());
        int away = Math.max(0, flowerBuds - keep);
        steps.add(new CountStep(
                CountOperation.deflower("plant", keep, away),
                "crop",
                0,
                away * numbers.work().deflowerBud(),
                0,
                CountSteps.answering(reading, CountRule.OVER_BEARING),
                flowerBuds > 0
                        ? numbers.confidence().counted()
                        : numbers.confidence().judged(),
                false,
                null,
                Statement.of("count.reason.deflower")
                        .with("young", Value.choice(young ? "yes" : "no"))
                        .with("leaf", Value.count(leaf))
                        .with("counted", Value.choice(flowerBuds > 0 ? "yes" : "no"))
                        .with("buds", Value.count(flowerBuds))
                        .with("keep", Value.count(keep))
                        .with("crop", new Value.Mass(young ? allowed : potential))));
        return true;
    }

    /** Canes over the usual height cut to it. */
    void height(List<BushCane> stay) {
        double wanted = bush.height();
        for (BushCane cane : stay) {
            if (cane.heightCm() > wanted + numbers.row().tallByCm()) {
                steps.add(new CountStep(
                        CountOperation.head(cane.id(), wanted),
                        "detail",
                        0,
                        numbers.work().thinCane(),
                        0,
                        List.of(),
                        numbers.confidence().opinion(),
                        false,
                        null,
                        Statement.of("count.reason.height")
                                .with("height", Value.centimetres(cane.heightCm()))
                                .with("wanted", Value.centimetres(wanted))));
            }
        }
    }

    /** This year's side shoots to five leaves. */
    void sideShoots(List<BushCane> stay) {
        steps.add(new CountStep(
                CountOperation.shorten("shoots/side", numbers.bush().fiveLeavesCm(), stay.size()),
                "detail",
                0,
                stay.size() * numbers.work().thinCane(),
                0,
                List.of(),
                numbers.confidence().opinion(),
                false,
                null,
                Statement.of("count.reason.side-shoots")));
    }

    private double sureOfAge(BushCane cane) {
        CountingParameters.Confidence by = numbers.confidence();
        return cane.ageKnown() ? by.ageTold() : cane.measured() ? by.ageByThickness() : by.ageUnknown();
    }

    private double minutes(BushCane cane) {
        double mm = cane.measured() ? cane.diameterMm() : cane.usualMm();
        return mm > numbers.work().thickMm()
                ? numbers.work().thickCane()
                : numbers.work().thinCane();
    }

    private double leafShare(BushCane cane) {
        double all = model.leaf(model.stand(canes, leaf));
        return all <= 0 ? 0 : bush.leafByAge().get(bush.index(cane.age())) / all;
    }
}
