package umbel.app.people;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import umbel.app.UmbelSettings;
import umbel.app.farm.Farm;
import umbel.app.farm.Farms;

/** The farms in which whoever asks has a role. */
@Service
public class OwnFarms {

    private final Memberships memberships;
    private final Farms farms;
    /** Whoever sits at the open demo is grower of every farm. */
    private final boolean openDemo;

    OwnFarms(
            Memberships memberships,
            Farms farms,
            UmbelSettings settings,
            @Value("${server.address:127.0.0.1}") String address) {
        this.memberships = memberships;
        this.farms = farms;
        this.openDemo = Security.openDemo(settings, address);
    }

    /** All of them, the oldest first, with what whoever asks is there. */
    Map<Farm, Role> all() {
        Map<Long, Role> roles = new HashMap<>();
        if (!openDemo) {
            memberships.of(SignedIn.name()).forEach(one -> roles.put(one.farm(), one.as()));
        }
        Map<Farm, Role> own = new LinkedHashMap<>();
        for (Farm farm : farms.all()) {
            Role role = openDemo ? Role.GROWER : roles.get(farm.id());
            if (role != null) {
                own.put(farm, role);
            }
        }
        return own;
    }

    /** The farm of a number, where whoever asks has a role in it. */
    public Optional<Farm> of(long number) {
        return all().keySet().stream().filter(farm -> farm.id() == number).findFirst();
    }
}
