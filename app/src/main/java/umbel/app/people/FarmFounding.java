package umbel.app.people;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;

/** Adds farms, of which whoever asks becomes the grower. */
@Service
public class FarmFounding {

    private static final Logger LOG = LoggerFactory.getLogger(FarmFounding.class);

    private final Memberships memberships;
    private final Joining joining;
    private final Farms farms;

    FarmFounding(Memberships memberships, Joining joining, Farms farms) {
        this.memberships = memberships;
        this.joining = joining;
        this.farms = farms;
    }

    /** A new farm. */
    public Farm add(String farmName) {
        Farm farm = farms.add(farmName);
        settle(farm.id(), SignedIn.name());
        return farm;
    }

    /** Makes somebody the grower of a farm that has nobody yet; nothing changes where they are already. */
    public void settle(long farm, String login) {
        String name =
                memberships.of(login).stream().map(Membership::name).findFirst().orElse(login);
        joining.settle(farm, login, name);
    }

    /** Takes a farm away again that nothing was read into; where it is gone, or something belongs to it by now, nothing happens. */
    public void undo(long farm) {
        try {
            joining.removeEmpty(farm);
        } catch (DataIntegrityViolationException e) {
            LOG.info("Farm {} stays: something belongs to it.", farm, e);
        }
    }
}
