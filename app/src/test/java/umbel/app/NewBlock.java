package umbel.app;

/** A block of a test's own, in a holding of its own, so that no other test meets it. */
public final class NewBlock {

    private NewBlock() {}

    /** Adds a block of one row with so many trees, and the holding it stands in; gives its id. */
    public static long add(RunningUmbel umbel, String name, String species, String system, int trees) {
        long holding = id(umbel.post(
                "/api/holdings",
                "{\"name\":\"" + name + " Farm\",\"latitudeDeg\":51,\"elevationM\":80,\"timeZone\":\"UTC\"}"));
        return id(umbel.post(
                "/api/blocks",
                "{\"holdingId\":" + holding + ",\"name\":\"" + name + "\",\"species\":\"" + species
                        + "\",\"system\":\"" + system + "\",\"stock\":\"dwarfing\",\"plantedYear\":2021,\"treeCount\":"
                        + trees + ",\"inRowM\":1,\"betweenRowsM\":3.5,\"rowBearingDeg\":0,\"eastM\":0,\"northM\":0,"
                        + "\"rows\":1,\"placesPerRow\":" + trees + "}"));
    }

    private static long id(RunningUmbel.Answer added) {
        return added.json().at("/id").asLong();
    }
}
