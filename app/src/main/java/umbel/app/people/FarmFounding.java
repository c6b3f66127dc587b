package umbel.app.people;

import org.springframework.stereotype.Service;
import umbel.app.farm.Farm;

/** Adds farms, of which whoever asks becomes the grower. */
@Service
public class FarmFounding {

    private final Memberships memberships;
    private final Joining joining;

    FarmFounding(Memberships memberships, Joining joining) {
        this.memberships = memberships;
        this.joining = joining;
    }

    /** A new farm. */
    public Farm add(String farmName) {
        String login = SignedIn.name();
        String name =
                memberships.of(login).stream().map(Membership::name).findFirst().orElse(login);
        return joining.addFarm(farmName, login, name);
    }

    /** Takes a farm away again that nothing was read into. */
    public void undo(Farm farm) {
        joining.removeEmpty(farm);
    }
}
