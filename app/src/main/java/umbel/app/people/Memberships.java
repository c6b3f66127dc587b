package umbel.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;

/** In which farms somebody has a role. */
@Component
class Memberships {

    private final MembershipRepository memberships;
    private final Farms farms;

    Memberships(MembershipRepository memberships, Farms farms) {
        this.memberships = memberships;
        this.farms = farms;
    }

    /** All farms somebody has a role in, the oldest first. */
    List<Membership> of(String login) {
        return FarmScope.acrossFarms(() -> memberships.allOf(login));
    }

    /** Whether somebody keeps this installation: its founder, or its grower where it has one farm. */
    boolean isKeeper(Membership one) {
        return one.as() == Role.GROWER && (one.isFounder() || farms.count() <= 1);
    }

    /** What somebody is in a farm; without a code in the first of theirs. */
    Optional<Membership> of(String login, Optional<String> code) {
        return FarmScope.acrossFarms(
                () -> code.isPresent() ? memberships.in(login, code.get()) : memberships.firstOf(login));
    }
}
