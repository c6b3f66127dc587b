package umbel.app.farm;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import umbel.app.RunningUmbel;
import umbel.app.farm.TwoFarms.Farmer;
import umbel.app.people.Visitor;

/**
 * Two farms of one installation, each with all that the demo has, and more. Every address there is is asked for in one of them with the
 * numbers of the other: nothing comes back that is the other's, and nothing of the other's changes.
 */
@ExtendWith(RunningUmbel.class)
class FarmsApartTest {

    @TempDir
    private static Path data;

    private static TwoFarms farms;
    private static Addresses addresses;
    private static Farmer alder;
    private static Farmer birch;

    @BeforeAll
    static void twoFarmsLikeTheDemo(RunningUmbel demo) throws Exception {
        farms = new TwoFarms(data, demo.bytes("/api/farms/this/archive"));
        addresses = new Addresses(farms);
        alder = farms.alder();
        birch = farms.birch();
    }

    @AfterAll
    static void stop() {
        farms.close();
    }

    @Test
    void everythingIsThereForWhomItBelongsTo() throws Exception {
        for (Farmer one : List.of(alder, birch)) {
            assertThat(one.visitor().ask("GET", "/api/holding", "").body()).contains(one.mark() + " Halden Combe");
            long tree = farms.number("select min(id) from tree where farm_id = " + one.farm());
            assertThat(one.visitor().status("GET", "/api/trees/" + tree, "")).isEqualTo(200);
            assertThat(one.visitor().json("/api/trees/" + tree + "/photos")).isNotEmpty();
            assertThat(one.visitor().json("/api/plantings/scenarios")).isNotEmpty();
        }
    }

    @Test
    void noAddressGivesOrChangesWhatIsAnotherFarms() throws Exception {
        SoftAssertions found = new SoftAssertions();
        int asked = ask(birch, alder, found) + ask(alder, birch, found);
        found.assertAll();
        assertThat(asked).isGreaterThan(300);
    }

    @Test
    void theInterfaceIsThereUnderAFarmsAddress() throws Exception {
        String page = farms.founder().ask("GET", "/", "").body();
        for (String path : List.of("", "/", "/trees/13", "/due")) {
            var answer = birch.visitor().ask("GET", "/farms/" + birch.code() + path, "");
            assertThat(answer.statusCode()).as(path).isEqualTo(200);
            assertThat(answer.body()).as(path).isEqualTo(page);
        }
        assertThat(birch.visitor().status("GET", "/farms/" + birch.code() + "/api/nothing/here", ""))
                .isEqualTo(404);
    }

    @Test
    void anotherFarmsAddressIsThatOfNoFarm() throws Exception {
        String none =
                birch.visitor().ask("GET", "/farms/nosuchfarm/api/holding", "").body();
        for (Addresses.Address address : addresses.all()) {
            String path = addresses.with(address, alder);
            var answer = birch.visitor().ask(address.method(), "/farms/" + alder.code() + path, "{}");
            if (!path.startsWith("/api/assess")) {
                assertThat(answer.statusCode()).as(address + " " + path).isEqualTo(404);
                assertThat(answer.body()).as("told as one that there is not").isEqualTo(none);
            }
        }
    }

    @Test
    void whoeverKeepsTheInstallationSeesNoFarmTheyHaveNoRoleIn() throws Exception {
        assertThat(farms.founder().json("/api/farms")).hasSize(1);
        for (Addresses.Address address : addresses.all()) {
            if (address.method().equals("GET") && !address.template().equals("/api/backup")) {
                String path = addresses.with(address, alder);
                assertThat(farms.founder().ask("GET", path, "").body()).as(path).doesNotContain(TwoFarms.ALDER);
            }
        }
    }

    @Test
    void anAdviserOfBothIsInOneAtATime() throws Exception {
        Visitor adviser = farms.visitor();
        for (Farmer one : List.of(alder, birch)) {
            String invited = one.visitor()
                    .ask("POST", "/api/invitations", "{\"role\":\"adviser\"}")
                    .body();
            String code = Visitor.read(invited).path("code").asString();
            assertThat(adviser.status(
                            "POST",
                            "/api/session/join",
                            "{\"code\":\"" + code + "\",\"name\":\"Adviser\",\"login\":\"adviser\",\"password\":\""
                                    + TwoFarms.PASSWORD + "\"}"))
                    .isEqualTo(201);
            adviser.ask("GET", "/api/session", "");
            assertThat(farms.visitor()
                            .signIn("keeper", TwoFarms.PASSWORD)
                            .status("POST", "/api/session/join", "{\"code\":\"" + code + "\"}"))
                    .as("an invitation is good once")
                    .isEqualTo(409);
        }
        assertThat(adviser.json("/api/farms")).hasSize(2);
        assertThat(adviser.json("/api/farms").at("/0/surveyed").asInt()).isPositive();
        long tree = farms.number("select min(id) from tree where farm_id = " + birch.farm());
        assertThat(adviser.status("GET", "/farms/" + birch.code() + "/api/trees/" + tree, ""))
                .isEqualTo(200);
        assertThat(adviser.status("GET", "/farms/" + alder.code() + "/api/trees/" + tree, ""))
                .isEqualTo(404);
        assertThat(adviser.status("GET", "/farms/" + alder.code() + "/api/accounts", ""))
                .isEqualTo(403);
        long person = farms.number("select min(id) from person where account_id is not null and farm_id = "
                + birch.farm() + " and name like '%Adviser'");
        assertThat(birch.visitor()
                        .ask(
                                "PUT",
                                "/api/accounts/" + person,
                                "{\"login\":\"adviser\",\"role\":\"adviser\",\"password\":\"taken over by one\"}")
                        .statusCode())
                .as("whoever works elsewhere too keeps their own password")
                .isEqualTo(409);
    }

    private static int ask(Farmer who, Farmer other, SoftAssertions found) throws Exception {
        Map<String, String> before = farms.state(other.farm());
        int asked = 0;
        for (Addresses.Address address : addresses.all()) {
            String path = addresses.with(address, other);
            for (String body : addresses.bodies(address, other)) {
                var answer = who.visitor().ask(address.method(), path, body);
                asked++;
                String what = address.method() + " " + path + " " + body + " gave " + answer.statusCode();
                found.assertThat(answer.body()).as(what).doesNotContain(other.mark());
                if (Addresses.isOfAFarm(address) && (address.method().equals("GET") || !body.equals("{}"))) {
                    found.assertThat(answer.statusCode()).as(what).isIn(404, 415);
                }
            }
        }
        assertThat(farms.state(other.farm())).isEqualTo(before);
        return asked;
    }
}
