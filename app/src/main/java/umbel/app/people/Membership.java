package umbel.app.people;

/**
 * What somebody is in a farm.
 *
 * @param login what they sign in with
 * @param epoch of their account's rights
 * @param founder whether they keep this installation
 * @param farm the farm's number, its code in addresses and its name
 * @param role what they may do there
 * @param name what they are called there, and the language they read
 */
record Membership(
        String login,
        long epoch,
        Boolean founder,
        long farm,
        String farmCode,
        String farmName,
        String role,
        String name,
        String language) {

    Role as() {
        return Role.of(role);
    }

    boolean isFounder() {
        return Boolean.TRUE.equals(founder);
    }
}
