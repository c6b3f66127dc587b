package umbel.cut;

import java.util.List;
import java.util.Optional;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.ShootClass;

/**
 * What an operation is aimed at, or a finding speaks of: a limb, the trunk's top, shoots or spurs of a limb, or its buds. In
 * the open format a target is a path: {@code 4}, {@code trunk}, {@code 4/shoots[/attitude][/class]}, {@code 4/spurs},
 * {@code trunk/buds}; {@link #parse} and {@link #path} are the only places that know it.
 */
public sealed interface Target {

    /** The trunk's top: its leader. */
    Target TRUNK = new TrunkTop();

    /** The measured limb it is, or stands on; {@code trunk} for the trunk. */
    String limb();

    /** The open format's name for it. */
    String path();

    /** Whether it is shoots or spurs on a limb. */
    default boolean isSmallWood() {
        return false;
    }

    /** Whether it is a whole limb or the trunk, and not something that stands on one. */
    default boolean isLimb() {
        return false;
    }

    /** Whether an axis of the limb's small wood belongs to it. */
    default boolean holds(Axis axis) {
        return false;
    }

    /** Whether both hold some of the same small wood. */
    default boolean overlaps(Target other) {
        return false;
    }

    /** A limb of the frame. */
    record Limb(String limb) implements Target {

        @Override
        public String path() {
            return limb;
        }

        @Override
        public boolean isLimb() {
            return true;
        }
    }

    /** The trunk's top. */
    record TrunkTop() implements Target {

        private static final String ID = "trunk";

        @Override
        public String limb() {
            return ID;
        }

        @Override
        public String path() {
            return ID;
        }

        @Override
        public boolean isLimb() {
            return true;
        }
    }

    /** One-year shoots of a limb; of any attitude or class where none is named. */
    record Shoots(String limb, Optional<Attitude> attitude, Optional<ShootClass> shootClass) implements Target {

        static final String WORD = "shoots";

        @Override
        public String path() {
            return limb + "/" + WORD + attitude.map(one -> "/" + one.word()).orElse("")
                    + shootClass.map(one -> "/" + one.word()).orElse("");
        }

        @Override
        public boolean isSmallWood() {
            return true;
        }

        @Override
        public boolean holds(Axis axis) {
            return axis.kind() == AxisKind.SHOOT
                    && attitude.map(one -> one == axis.attitude()).orElse(true)
                    && shootClass.map(one -> one == axis.shootClass()).orElse(true);
        }

        @Override
        public boolean overlaps(Target other) {
            return other instanceof Shoots shoots
                    && limb.equals(shoots.limb)
                    && agree(attitude, shoots.attitude)
                    && agree(shootClass, shoots.shootClass);
        }

        private static boolean agree(Optional<?> one, Optional<?> other) {
            return one.isEmpty() || other.isEmpty() || one.equals(other);
        }
    }

    /** Spurs of a limb. */
    record Spurs(String limb) implements Target {

        static final String WORD = "spurs";

        @Override
        public String path() {
            return limb + "/" + WORD;
        }

        @Override
        public boolean isSmallWood() {
            return true;
        }

        @Override
        public boolean holds(Axis axis) {
            return axis.kind() == AxisKind.SPUR;
        }

        @Override
        public boolean overlaps(Target other) {
            return equals(other);
        }
    }

    /** Buds of a limb's last growth. */
    record Buds(String limb) implements Target {

        static final String WORD = "buds";

        @Override
        public String path() {
            return limb + "/" + WORD;
        }
    }

    /** A limb by its id, or the trunk. */
    static Target limb(String id) {
        return id.equals(TrunkTop.ID) ? TRUNK : new Limb(id);
    }

    /** An axis of the frame. */
    static Target of(Axis limb) {
        return limb(limb.id());
    }

    /** Axes of the frame. */
    static List<Target> all(List<Axis> limbs) {
        return limbs.stream().map(Target::of).toList();
    }

    /** All shoots of a limb. */
    static Target shoots(String limb) {
        return new Shoots(limb, Optional.empty(), Optional.empty());
    }

    /** Shoots of a limb that leave it this way. */
    static Target shoots(String limb, Attitude attitude) {
        return new Shoots(limb, Optional.of(attitude), Optional.empty());
    }

    /** Shoots of a limb of one attitude and class. */
    static Target shoots(String limb, Attitude attitude, ShootClass shootClass) {
        return new Shoots(limb, Optional.of(attitude), Optional.of(shootClass));
    }

    /**
     * Reads the open format's name of a target.
     *
     * @throws ImpossibleCut when it names nothing that can stand on a tree
     */
    static Target parse(String path) {
        String[] parts = path.split("/", -1);
        if (parts[0].isBlank()) {
            throw new ImpossibleCut("limb", Statement.of("problem.limb-missing"));
        }
        if (parts.length == 1) {
            return limb(parts[0]);
        }
        if (parts.length == 2 && parts[1].equals(Spurs.WORD)) {
            return new Spurs(parts[0]);
        }
        if (parts.length == 2 && parts[1].equals(Buds.WORD)) {
            return new Buds(parts[0]);
        }
        if (!parts[1].equals(Shoots.WORD) || parts.length > 4) {
            throw none(path);
        }
        Optional<Attitude> attitude = Optional.empty();
        Optional<ShootClass> shootClass = Optional.empty();
        for (int i = 2; i < parts.length; i++) {
            Optional<Attitude> way = Attitude.named(parts[i]);
            Optional<ShootClass> size = ShootClass.named(parts[i]);
            if (way.isPresent() && attitude.isEmpty()) {
                attitude = way;
            } else if (size.isPresent() && shootClass.isEmpty()) {
                shootClass = size;
            } else {
                throw none(path);
            }
        }
        return new Shoots(parts[0], attitude, shootClass);
    }

    private static ImpossibleCut none(String path) {
        return new ImpossibleCut("limb", Statement.of("problem.not-on-tree").with("part", Value.name(path)));
    }
}
