package driftwood.smell.detect;

import java.util.Map;

class SubclassExplosionTest extends SmellCases {
    private static String tariff(String name, String parent, String body) {
        return "class " + name + " extends " + parent + " { int nights; int quote(int base) { " + body + " } }\n";
    }

    private static final String DAY = "int t = base * 2; t += nights; return t;";
    private static final String NIGHT = "int t = base * 9; t -= nights; return t + 1;";
    private static final String GRID = "package quay;\nabstract class Tariff { }\n" + tariff("DayTugTariff", "Tariff", DAY) + tariff("NightTugTariff", "Tariff", NIGHT)
            + tariff("DayYachtTariff", "Tariff", DAY) + tariff("NightYachtTariff", "Tariff", NIGHT);

    @Override
    protected Map<String, String> smelly() {
        return Map.of(
                "a grid of Day, Night by Tug, Yacht: 4 classes", GRID,
                "6 classes with repeated bodies", GRID + tariff("DayTankerTariff", "Tariff", DAY) + tariff("NightTankerTariff", "Tariff", NIGHT),
                "by Tug, Yacht", GRID + "class OtherTariff extends Tariff { }\n",
                "Day, Night", GRID.replace("Tariff", "Rate"),
                "its subclasses are a grid", GRID.replace("abstract class Tariff { }", "interface Tariff { }").replace("extends Tariff", "implements Tariff"),
                "Fast, Slow by Barge, Ferry", "package quay;\nabstract class Run { }\n" + tariff("FastBargeRun", "Run", DAY) + tariff("SlowBargeRun", "Run", NIGHT) + tariff("FastFerryRun", "Run", DAY) + tariff("SlowFerryRun", "Run", NIGHT));
    }

    @Override
    protected Map<String, String> healthy() {
        return Map.of(
                "three cells", "package quay;\nabstract class Tariff { }\n" + tariff("DayTugTariff", "Tariff", DAY) + tariff("NightTugTariff", "Tariff", NIGHT) + tariff("DayYachtTariff", "Tariff", DAY),
                "no repeated bodies", "package quay;\nabstract class Tariff { }\n" + tariff("DayTugTariff", "Tariff", "int a = base; return a;") + tariff("NightTugTariff", "Tariff", "nights++; return base;")
                        + tariff("DayYachtTariff", "Tariff", "base--; nights--; return 4;") + tariff("NightYachtTariff", "Tariff", "while (base > 0) { base--; } return base;"),
                "names that form no grid", "package quay;\nabstract class Tariff { }\n" + tariff("TugTariff", "Tariff", DAY) + tariff("YachtTariff", "Tariff", DAY) + tariff("FerryTariff", "Tariff", DAY) + tariff("BargeTariff", "Tariff", DAY),
                "a mark on two families", (GRID.replace("abstract class Tariff { }", "interface Marked { }") + "").replace("extends Tariff", "implements Marked"),
                "data classes", "package quay;\nabstract class Msg { }\nclass DayTugMsg extends Msg { int a; }\nclass NightTugMsg extends Msg { int a; }\nclass DayYachtMsg extends Msg { int a; }\nclass NightYachtMsg extends Msg { int a; }\n",
                "columns that have a class above them each, which can take what they repeat", "package quay;\ninterface Port { }\nabstract class Loader implements Port { }\nabstract class Saver implements Port { }\n"
                        + tariff("TextLoader", "Loader", DAY) + tariff("ImageLoader", "Loader", DAY) + tariff("TextSaver", "Saver", NIGHT) + tariff("ImageSaver", "Saver", NIGHT),
                "no common parent", GRID.replace(" extends Tariff", ""),
                "only constructors", GRID.replaceAll("int quote\\(int base\\) \\{[^}]*\\}", ""));
    }

    @Override
    protected String smell() {
        return "subclass-explosion";
    }
}
