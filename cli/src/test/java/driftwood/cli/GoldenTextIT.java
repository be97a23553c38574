package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What users read, word for word, on the sample project: whoever changes it reads it again. */
class GoldenTextIT {
    @TempDir
    Path folder;

    /** The text of a command in the sample project. */
    private String text(String... arguments) throws IOException, InterruptedException {
        SampleFiles.copy("kelp-quay", folder);
        return Built.driftwood(folder, arguments).out();
    }

    @Test
    void explainTelescopingConstructor() throws Exception {
        assertThat(text("explain", "tc-27ed9d")).isEqualTo("""
                Telescoping constructors  tc-27ed9d  drag 4.0
                src/main/java/quay/Berth.java:11

                Berth has 5 constructors, each adding parameters to the one before, up to 5; easily mixed up: depth
                and length (int).

                   11  public Berth(String name) {
                   12      this(name, 4);
                   13  }
                   14
                   15  public Berth(String name, int depth) {
                   16      this(name, depth, 30);
                   17  }
                   18
                   19  public Berth(String name, int depth, int length) {
                   20      this(name, depth, length, false);
                   21  }
                   22
                   23  public Berth(String name, int depth, int length, boolean tidal) {
                   24      this(name, depth, length, tidal, false);
                   25  }
                   26
                   27  public Berth(String name, int depth, int length, boolean tidal, boolean shorePower) {
                   28      this.name = name;
                   29      this.depth = depth;
                   30      this.length = length;
                   31      this.tidal = tidal;
                   32      this.shorePower = shorePower;
                   33  }

                Evidence
                  line 11  1 parameter: Berth(String name)
                  line 15  2 parameters: Berth(String name, int depth)
                  line 19  3 parameters: Berth(String name, int depth, int length)
                  line 23  4 parameters: Berth(String name, int depth, int length, boolean tidal)
                  line 27  5 parameters: Berth(String name, int depth, int length, boolean tidal, boolean
                      shorePower)
                  line 27  missing from the ladder: length without the parts before it
                  line 27  neighbours of the same type, easily mixed up: depth and length (int)
                  line 27  neighbours of the same type, easily mixed up: tidal and shorePower (boolean)
                  src/main/java/quay/BerthPlan.java:15  fills tidal with false
                  src/main/java/quay/BerthPlan.java:16  fills shorePower with false

                Why it drags
                  - 7 places in 2 files to edit together
                  - 2 pairs of same-typed neighbours can be swapped unnoticed

                Change drill: one more optional part of Berth
                  today 2 places in 1 file
                    src/main/java/quay/Berth.java:4  the field
                    src/main/java/quay/Berth.java:27  one more beside the longest, with 6 parameters: who wants the
                        new part alone calls it, and fills the other 4
                  after 3 places in 1 file
                    src/main/java/quay/Berth.java:4  the field
                    src/main/java/quay/Berth.java:61  its step in the builder: callers who do not want it stay
                    src/main/java/quay/Berth.java:27  the line of the private constructor that takes it

                Ways to answer it
                  0.69  builder  4 of 5 parts are optional: a builder names them and leaves out the rest. Cost: one
                        new type, about 19 lines more, one short-lived object for each creation
                  0.42  factory-method  4 optional parts are too many combinations to name. Cost: no new type, about
                        20 lines more, names instead of overloads
                  0.23  leave-it  costs nothing now; the next change pays (drag 4.0)

                What this smell is
                  Constructors that extend one another, each adding one more optional part, or one constructor with
                  many optional parts that callers fill with null, false or 0. Callers mix up neighbours of the same
                  type, and every new option doubles the ladder.

                Next: driftwood plan tc-27ed9d
                """);
    }

    @Test
    void explainNullCheck() throws Exception {
        assertThat(text("explain", "nc-dy4z2g")).isEqualTo("""
                Null checks  nc-dy4z2g  drag 3.4
                src/main/java/quay/PilotRoster.java:15

                PilotRoster#pilotFor(Vessel) returns null where there is nothing: 3 callers check it, 1 does not.

                   15  public Pilot pilotFor(Vessel vessel) {
                   16      for (Pilot pilot : onDuty) {
                   17          if (pilot.mayBring(vessel)) {
                   18              return pilot;
                   19          }
                   20      }
                   21      return null;
                   22  }

                Evidence
                  line 21  returns null at the end
                  src/main/java/quay/ArrivalDesk.java:17  skips pilot.board(vessel);
                  src/main/java/quay/ArrivalDesk.java:25  when null: "no pilot"
                  src/main/java/quay/NightDesk.java:14  when null: waiting++;
                  src/main/java/quay/NightDesk.java:23  uses the result unchecked: getName()

                Why it drags
                  - 4 places in 3 files to edit together
                  - 1 caller does not check

                Change drill: one more caller of pilotFor(Vessel)
                  today 1 place in 1 file
                    src/main/java/quay/PilotRoster.java:15  a guard in the new caller: nothing reminds it (1 of 4
                        have none today)
                  after 1 place in 1 file
                    src/main/java/quay/PilotRoster.java:15  the new caller says what it does for nothing: the
                        compiler asks

                Ways to answer it
                  0.75  optional-value  of 3 callers 1 skips: ifPresent(), 1 leaves: isEmpty(), 1 takes a default:
                        orElse(). Cost: no new type, about 2 lines more, one wrapper for each result
                  0.65  null-object  1 of 3 callers only skip it, which a neutral Pilot does by itself. Cost: one
                        new type, about 6 lines more, in a debugger the empty object looks real
                  0.34  leave-it  costs nothing now; the next change pays (drag 3.4)

                What this smell is
                  A routine or field stands for "nothing" by null, and its callers guard against it one by one. Each
                  guard repeats the same decision, and the caller that forgets it fails at run time.

                Next: driftwood plan nc-dy4z2g
                """);
    }

    @Test
    void explainConditionalInstantiation() throws Exception {
        assertThat(text("explain", "ci-q672fn")).isEqualTo("""
                Conditional instantiation  ci-q672fn  drag 3.1
                src/main/java/quay/PermitOffice.java:13

                PermitOffice#issue(Vessel,boolean): decides which class to create: HazardPermit, HeavyPermit,
                LightPermit, used as Permit; decided again in 1 other place.

                   13  if (hazardous) {
                   14      permit = new HazardPermit(vessel.getName());
                   15  } else if (vessel.getTonnage() > 500) {
                   16      permit = new HeavyPermit(vessel.getName(), vessel.getTonnage());
                   17  } else {
                   18      permit = new LightPermit(vessel.getName());
                   19  }

                Evidence
                  line 13  hazardous creates HazardPermit
                  line 15  vessel.getTonnage() > 500 creates HeavyPermit
                  line 17  otherwise creates LightPermit
                  src/main/java/quay/RenewalDesk.java:13  the same decision again: HeavyPermit, LightPermit
                  line 13  the copies disagree on HeavyPermit (vessel.getTonnage() > 500 here, vessel.getTonnage() >
                      400 there)

                Why it drags
                  - 2 places in 2 files to edit together
                  - the copies disagree on HeavyPermit (vessel.getTonnage() > 500 here, vessel.getTonnage() > 400
                    there)

                Change drill: one more Permit
                  today 3 places in 3 files
                    src/main/java/quay/NewPermit.java (new)  the new kind of Permit
                    src/main/java/quay/PermitOffice.java:13  a branch that creates it; forgotten, it gets what all
                        others get: permit = new LightPermit(vessel.getName())
                    src/main/java/quay/RenewalDesk.java:13  a branch that creates it
                  after 2 places in 2 files
                    src/main/java/quay/NewPermit.java (new)  the new kind of Permit
                    src/main/java/quay/PermitFactory.java (new)  one arm in the factory

                Ways to answer it
                  0.70  factory  2 types make the same decision: one factory can make it for all of them. Cost: one
                        new type, about 8 lines more, clients hold a factory
                  0.50  factory-method  one routine can decide for all 2 types, if one of them may own it. Cost: no
                        new type, about 4 lines more, one call
                  0.39  leave-it  costs nothing now; the next change pays (drag 3.1)

                What this smell is
                  A condition decides which class to create, in the middle of code that has other work to do. The
                  decision cannot be reused, tends to be repeated, and its copies drift apart.

                Next: driftwood plan ci-q672fn
                """);
    }

    @Test
    void explainTypeSwitch() throws Exception {
        assertThat(text("explain", "ts-zq8j2q")).isEqualTo("""
                Type-switch conditional  ts-zq8j2q  drag 2.5
                src/main/java/quay/HarbourDues.java:17

                HarbourDues#quote(Vessel,int): picks behaviour by the run-time type of vessel in 4 cases: Tug,
                Trawler, Tanker, Yacht; 1 other chain does the same.

                   17  if (vessel instanceof Tug) {
                   18      return 0;
                   19  } else if (vessel instanceof Trawler) {
                   20      Trawler trawler = (Trawler) vessel;
                   21      int perNight = trawler.isLocal() ? BASE / 2 : BASE;
                   22      return perNight * nights;
                   23  } else if (vessel instanceof Tanker) {
                   24      Tanker tanker = (Tanker) vessel;
                   25      int dues = nights * (BASE + tanker.getTonnage() / 10);
                   26      if (tanker.getTonnage() > LARGE_TONNAGE) {
                   27          dues += nights * BASE;
                   28      }
                   29      if (tanker.isHazardous()) {
                   30          dues += HAZARD_SURCHARGE;
                   31      }
                   32      return dues;
                   33  } else if (vessel instanceof Yacht) {
                   34      Yacht yacht = (Yacht) vessel;
                   35      int perNight = yacht.getLength() * 3 + yacht.getGuests() * 2;
                   36      if (season.isHigh() && nights < 7) {
                   37          perNight = perNight * 3 / 2;
                   38      }
                   39      return perNight * nights;
                   40  }

                Evidence
                  line 17  arm for Tug: return 0
                  line 19  arm for Trawler: int perNight = trawler.isLocal() ? BASE / 2 : BASE; casts to Trawler
                  line 23  arm for Tanker: int dues = nights * (BASE + tanker.getTonnage() / 10); casts to Tanker
                  line 33  arm for Yacht: int perNight = yacht.getLength() * 3 + yacht.getGuests() * 2; casts to
                      Yacht
                  line 41  default: throw new IllegalArgumentException("no dues known for " + vessel)
                  src/main/java/quay/SignalTower.java:12  another chain on the same variants: Tanker, Trawler, Tug

                Why it drags
                  - 2 places in 2 files to edit together
                  - branches cast vessel to its subtype

                Change drill: one more Vessel
                  today 3 places in 3 files
                    src/main/java/quay/NewVessel.java (new)  the new Vessel
                    src/main/java/quay/HarbourDues.java:17  a branch for the new Vessel; forgotten, it throws
                    src/main/java/quay/SignalTower.java:12  a branch for the new Vessel; forgotten, it gets what all
                        others get
                  after 1 place in 1 file
                    src/main/java/quay/NewVessel.java (new)  the new Vessel, with quote(), announce(): the compiler
                        asks for it

                Ways to answer it
                  0.70  strategy  the variants are types of this project and share Vessel: each can answer for
                        itself. Cost: no new type, about 12 lines more, one virtual call; the cases are read in 4
                        files instead of one
                  0.50  leave-it  costs nothing now; the next change pays (drag 2.5)
                  0.45  visitor  2 operations branch on the same types; each becomes one visitor. Cost: 2 new types,
                        about 40 lines more, two calls for each operation, and a type parameter to read

                What this smell is
                  A chain of arms picks behaviour by the kind of one value: by its run-time type, or by a tag such
                  as an enum constant. Every new kind means finding and editing every such chain, and nothing
                  reminds you of the one you forget.

                Next: driftwood plan ts-zq8j2q
                """);
    }

    @Test
    void scanOfTheWholeProject() throws Exception {
        assertThat(text("scan")).isEqualTo("""
                4.0  telescoping-constructor  tc-27ed9d  src/main/java/quay/Berth.java:11
                     Berth has 5 constructors, each adding parameters to the one before, up to 5; easily mixed up:
                     depth and length (int)
                        11  public Berth(String name) {
                        12      this(name, 4);
                        13  }
                        15  public Berth(String name, int depth) {
                        16      this(name, depth, 30);
                         :
                        33  }
                     drag: 7 places in 2 files to edit together; 2 pairs of same-typed neighbours can be swapped
                     unnoticed
                     cure: builder (4 of 5 parts are optional: a builder names them and leaves out the rest)

                3.4  null-check  nc-dy4z2g  src/main/java/quay/PilotRoster.java:15
                     PilotRoster#pilotFor(Vessel) returns null where there is nothing: 3 callers check it, 1 does
                     not
                        15  public Pilot pilotFor(Vessel vessel) {
                        16      for (Pilot pilot : onDuty) {
                        17          if (pilot.mayBring(vessel)) {
                        18              return pilot;
                        19          }
                         :
                        22  }
                     drag: 4 places in 3 files to edit together; 1 caller does not check
                     cure: optional-value (of 3 callers 1 skips: ifPresent(), 1 leaves: isEmpty(), 1 takes a
                     default: orElse())

                3.1  conditional-instantiation  ci-q672fn  src/main/java/quay/PermitOffice.java:13
                     PermitOffice#issue(Vessel,boolean): decides which class to create: HazardPermit, HeavyPermit,
                     LightPermit, used as Permit; decided again in 1 other place
                        13  if (hazardous) {
                        14      permit = new HazardPermit(vessel.getName());
                        15  } else if (vessel.getTonnage() > 500) {
                        16      permit = new HeavyPermit(vessel.getName(), vessel.getTonnage());
                        17  } else {
                        18      permit = new LightPermit(vessel.getName());
                        19  }
                     drag: 2 places in 2 files to edit together; the copies disagree on HeavyPermit
                     (vessel.getTonnage() > 500 here, vessel.getTonnage() > 400 there)
                     cure: factory (2 types make the same decision: one factory can make it for all of them)

                2.8  type-switch  ts-xbxxu2  src/main/java/quay/SignalTower.java:12
                     SignalTower#announce(Vessel): picks behaviour by the run-time type of vessel in 3 cases:
                     Tanker, Trawler, Tug; 1 other chain does the same
                        12  if (vessel instanceof Tanker) {
                        13      Tanker tanker = (Tanker) vessel;
                        14      hoist(tanker.isHazardous() ? "BRAVO" : "KILO");
                        15      hoist("TUG STAND BY");
                        16  } else if (vessel instanceof Trawler) {
                         :
                        22  }
                     drag: 2 places in 2 files to edit together; a forgotten kind falls into the default unnoticed;
                     branches cast vessel to its subtype
                     cure: strategy (the variants are types of this project and share Vessel: each can answer for
                     itself)
                     and ts-zq8j2q  src/main/java/quay/HarbourDues.java:17  HarbourDues#quote(Vessel,int)

                5 findings in 27 files, 677 lines.
                Next: driftwood explain tc-27ed9d
                """);
    }

    @Test
    void explainTypeSwitchByKey() throws Exception {
        assertThat(text("explain", "type-switch")).isEqualTo("""
                Type-switch conditional  type-switch

                  A chain of arms picks behaviour by the kind of one value: by its run-time type, or by a tag such
                  as an enum constant. Every new kind means finding and editing every such chain, and nothing
                  reminds you of the one you forget.

                      int dues(Vessel vessel) {
                          switch (vessel.kind()) {
                              case TUG:    return pilotage(vessel) / 2;
                              case TANKER: return pilotage(vessel) + hazard(vessel);
                              default:     return pilotage(vessel);
                          }
                      }

                  Not this smell: A lone type guard; equals, compareTo, hashCode; characters and tokens in a lexer
                  or parser; constants of foreign types; options of a main routine; chains that only look something
                  up or only create.
                  Cures: strategy, visitor, state, registry
                """);
    }

    @Test
    void explainBuilderByKey() throws Exception {
        assertThat(text("explain", "builder")).isEqualTo("""
                builder

                  Required parts are given first, optional parts by name, and one closing step checks and builds.
                  Callers say only what they mean, and neighbours of the same type cannot be mixed up. A builder
                  takes several steps where a factory takes one.
                  Leave it when: Two or three parts, or combinations so few that each deserves a name of its own.
                  Roles: product, builder, required part, optional part, build step
                """);
    }
}
