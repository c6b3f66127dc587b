package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.survey.InvalidSurvey;

class CountCsvTest {

    private static final String TABLE = """
            label,kind,leaf,part,sample,sample_m,id,count,age_y,diameter_mm,condition,twiggy,rubs,weak,arm,nodes
            Bank 1-1,blueberry,8,cane,,,1,,7,26.5,dead;broken,yes,2,,,
            ,,,cane,,,2,3,2,,,no,,,,
            Rows 2-1,raspberry-summer,4,fruited,1,2,,18,,,,,,,,
            ,,,new,1,2,,40,,9,,,,12,,
            ,,,new,2,,,17,,,,,,3,,
            Slope 3-1,grape,12,arm,,,L,,,,,,,,,
            ,,,vine-cane,,,c1,,,9,,,,,L,14
            """;

    @Test
    void bushesRowsAndVinesAreReadFromOneTable() {
        List<CountSurvey> plants = CountCsv.read(TABLE, Map.of());
        assertThat(plants).hasSize(3);
        CountSurvey.BushCane first = plants.get(0).canes().get(0);
        assertThat(first.diameterMm()).isEqualTo(26.5);
        assertThat(first.condition()).containsExactly("dead", "broken");
        assertThat(first.twiggy()).isTrue();
        assertThat(first.rubs()).containsExactly("2");
        assertThat(plants.get(0).canes().get(1).count()).isEqualTo(3);
        CountSurvey.Row row = plants.get(1).row();
        assertThat(row.samples()).hasSize(2);
        assertThat(row.countedM()).isEqualTo(3);
        assertThat(row.samples().get(0).canes())
                .extracting(CountSurvey.RowCanes::cane)
                .containsExactly("fruited", "new");
        assertThat(plants.get(2).vine().arms().get(0).id()).isEqualTo("L");
        assertThat(plants.get(2).vine().canes().get(0).nodes()).isEqualTo(14);
    }

    @Test
    void whatIsWrittenIsReadBack() {
        List<CountSurvey> plants = CountCsv.read(TABLE, Map.of());
        String written = CountCsv.write(plants);
        assertThat(CountCsv.read(written, Map.of())).isEqualTo(plants);
        assertThat(CountCsv.write(CountCsv.read(written, Map.of()))).isEqualTo(written);
    }

    @Test
    void everyFieldOfTheFormatHasAColumn() {
        String all = "{'format':'umbel-count/1','plant':{'label':'A 1-1','kind':'kiwifruit','leaf':9,'system':'vine',"
                + "'cultivar':{'name':'Furl','habit':'standard','set':'light','vigour':'high'},"
                + "'spacing_m':{'inRow':4,'betweenRows':5},'rowBearing_deg':20},"
                + "'site':{'latitude_deg':-41,'elevation_m':30},'surveyedOn':'2026-07-01','cropLast_kg':20,"
                + "'vine':{'prunedAs':'cane','wood':'kiwifruit','pruningWeight_kg':2,'weightIs':'weighed','nodesLast':200,"
                + "'shootsLast':150,'cropLast_kg':30,'budSample':{'n':40,'dead':6},'canopies':2,"
                + "'nodeFormula':{'base':20,'perWeight':10},'canopy_m2':18,'fruitPerM2':35,'sex':'female',"
                + "'arms':[{'id':'L','bearing_deg':90,'length_cm':190,'age_y':5,'positions':8,'blind':1,'spurHeight_cm':9,"
                + "'condition':['sound'],'disease':'rot'}],"
                + "'canes':[{'id':'a','arm':'L','at_cm':20,'nodes':18,'length_cm':140,'diameter_mm':11,'lit':false,"
                + "'condition':['damaged'],'disease':'spot'}]}}";
        CountSurvey vine = Counts.survey(all);
        assertThat(CountCsv.read(CountCsv.write(List.of(vine)), Map.of())).containsExactly(vine);
        CountSurvey bush = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'currant-red'},'canes':["
                + "{'id':'1','count':2,'age_y':3,'diameter_mm':14,'height_cm':120,'attitude':'leaning','place':'outside',"
                + "'bearing_deg':40,'condition':['sound'],'disease':'mildew','twiggy':false,'flowerBuds':12,"
                + "'upright_shoot_cm':30,'rubs':['2']},{'id':'2'}]}");
        assertThat(CountCsv.read(CountCsv.write(List.of(bush)), Map.of())).containsExactly(bush);
        CountSurvey row =
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'raspberry-black'},'row':{'length_m':3,"
                        + "'width_cm':50,'topWire_cm':140,'plants':4,'cropLast_kg':6,'canes':[{'class':'new','count':20,"
                        + "'height_cm':150,'diameter_mm':10,'weak':2,'outside':3,'diseased':1,'rooting':4,"
                        + "'laterals':{'count':6,'length_cm':70,'low':1}}]}}");
        assertThat(CountCsv.read(CountCsv.write(List.of(row)), Map.of())).containsExactly(row);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "26.5 | thick | line 2, diameter_mm | not a number",
                "26.5 | 900 | line 2, diameter_mm | at most",
                "dead;broken | tired | line 2, condition | Must be one of",
                "yes,2 | perhaps,2 | line 2, twiggy | yes, no",
                ",,,arm | ,,,limb | line 7, part | Must be one of",
                "new,2, | new,5, | line 6, sample | Samples are numbered",
                "blueberry,8 | blueberry,eight | line 2, leaf | not a number",
                "label,kind | label,sort | line 1 | “kind” is missing"
            })
    void theFaultyCellIsNamed(String good, String bad, String where, String why) {
        String table = TABLE.replace(",grape,12,arm", ",grape,12" + (bad.contains("limb") ? ",limb" : ",arm"))
                .replace(good, bad);
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> CountCsv.read(table, Map.of()));
        assertThat(refused).isNotNull();
        assertThat(refused.errors())
                .as("%s", refused.errors())
                .anyMatch(
                        error -> error.field().equals(where) && error.toString().contains(why));
    }
}
