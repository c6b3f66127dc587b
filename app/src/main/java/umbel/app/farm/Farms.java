package umbel.app.farm;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.cache.ComputedCache;

/** The farms of this installation. On one machine for one grower there is one, and nobody has to know. */
@Service
public class Farms {

    /** The code of the farm that is there from the beginning. */
    public static final String FIRST = "home";

    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int LENGTH = 10;

    private final FarmRepository farms;
    private final Clock clock;
    private final ComputedCache<String, Long> numbers = ComputedCache.atMost(10_000);
    private final SecureRandom random = new SecureRandom();

    Farms(FarmRepository farms, Clock clock) {
        this.farms = farms;
        this.clock = clock;
    }

    /** The farm that is there from the beginning; made where it is not yet. */
    public Farm first() {
        Optional<Farm> there = farms.findFirstByOrderByIdAsc();
        if (there.isPresent()) {
            return there.get();
        }
        try {
            return farms.saveAndFlush(new Farm(FIRST, "", clock.instant()));
        } catch (DataIntegrityViolationException e) {
            return farms.findByCode(FIRST).orElseThrow(() -> e); // made by another node at this moment
        }
    }

    /** The farm this thread works for. */
    public Farm current() {
        return farms.findById(FarmScope.current()).orElseThrow();
    }

    /** How many there are. */
    public long count() {
        return farms.count();
    }

    /** The number of the farm with a code; empty where there is none. Neither ever changes, so that it is asked once. */
    public Optional<Long> numberOf(String code) {
        return Optional.ofNullable(
                numbers.get(code, () -> farms.findByCode(code).map(Farm::id).orElse(null)));
    }

    /** The number of the farm that is there from the beginning. */
    public long numberOfFirst() {
        return numbers.get("", () -> first().id());
    }

    /** A new farm. */
    public Farm add(String name) {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return farms.saveAndFlush(new Farm(code.toString(), name, clock.instant()));
    }

    /** Takes away a farm to which nothing belongs, where there is one; the database refuses any other. */
    public void remove(long farm) {
        farms.deleteById(farm);
    }

    /** A farm that there is. */
    public Farm existing(long number) {
        return farms.findById(number).orElseThrow();
    }

    /** All farms, the oldest first. */
    public List<Farm> all() {
        return farms.findAllByOrderByIdAsc();
    }

    /** Lets no other transaction that holds the farm this thread works for go on, on whichever node, until this one ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold() {
        farms.findLockedById(FarmScope.current());
    }

    /** Says whether the trees of the farm this thread works for are planned every night. */
    @Transactional
    public void planAtNight(boolean does) {
        current().plansAtNight(does);
    }

    /** Names the farm this thread works for, where it has no name yet: after its first holding. */
    @Transactional
    public void nameFirst(String name) {
        Farm farm = current();
        if (farm.name().isEmpty()) {
            farm.rename(name);
        }
    }

    /** Gives the farm this thread works for another name. */
    @Transactional
    public Farm rename(String name) {
        Farm farm = current();
        farm.rename(name);
        return farm;
    }
}
