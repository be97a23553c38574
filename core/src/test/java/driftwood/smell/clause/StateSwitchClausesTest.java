package driftwood.smell.clause;

/** The clauses of the catalogue for state-switch, each with a source that has it or has it not. */
class StateSwitchClausesTest extends Clauses {

    @Override
    String smell() {
        return "state-switch";
    }

    @Override
    void clauses() {
        java("enum state two routines").has("""
                package quay;
                class Gate {
                    enum State {
                        OPEN, CLOSED, MOVING }
                    private State state = State.CLOSED;
                    int moves;
                    void raise() {
                        if (state == State.CLOSED) { // <- state-switch
                            moves++;
                            state = State.MOVING;
                        } else if (state == State.MOVING) {
                            moves += 2;
                            state = State.OPEN;
                        } else if (state == State.OPEN) { System.out.println("open"); }
                    }
                    void lower() {
                        switch (state) {
                            case OPEN: moves--;
                            state = State.MOVING;
                            break;
                            case MOVING: moves++;
                            state = State.CLOSED;
                            break;
                            default: break;
                        }
                    }
                }
                """);
        java("string state").has("""
                package quay;
                class Permit {
                    private String status = "draft";
                    int sent;
                    void submit() {
                        if (status.equals("draft")) { // <- state-switch
                            sent++;
                            status = "filed";
                        } else if (status.equals("filed")) { System.out.println("twice"); }
                    }
                    void grant() {
                        if (status.equals("filed")) {
                            sent--;
                            status = "granted";
                        } else if (status.equals("draft")) {
                            throw new IllegalStateException("not filed");
                        } else { System.out.println("late"); }
                    }
                }
                """);
        java("int constants state").has("""
                package quay;
                class Gate {
                    static final int OPEN = 0, CLOSED = 1, MOVING = 2;
                    private int state = CLOSED;
                    int n;
                    void a() {
                        if (state == OPEN) { // <- state-switch
                            n++;
                            log();
                        } else if (state == CLOSED) {
                            n--;
                            log();
                        }
                    }
                    void b() {
                        if (state == OPEN) {
                            n += 4;
                            log();
                        } else if (state == MOVING) {
                            n -= 4;
                            log();
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        java("boolean field").hasNot("""
                package quay;
                class Gate {
                    private boolean open;
                    int n;
                    void a() {
                        if (open) {
                            n++;
                            log();
                        } else {
                            n--;
                            log();
                        }
                    }
                    void b() {
                        if (open) {
                            n += 3;
                            log();
                        } else {
                            n -= 3;
                            log();
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        java("one value test only").hasNot("""
                package quay;
                class Gate {
                    enum State {
                        OPEN, CLOSED }
                    private State state;
                    int n;
                    void a() {
                        if (state == State.OPEN) {
                            n++;
                            log();
                        } else {
                            n--;
                            log();
                        }
                    }
                    void b() {
                        if (state == State.OPEN) {
                            n += 3;
                            log();
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        java("one routine only").hasNot("""
                package quay;
                class Gate {
                    enum State {
                        OPEN, CLOSED }
                    private State state;
                    int n;
                    void a() {
                        if (state == State.OPEN) {
                            n++;
                            log();
                        } else if (state == State.CLOSED) {
                            n--;
                            log();
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        java("enum on itself").hasNot("""
                package quay;
                enum State {
                    OPEN, CLOSED;
                    static int n;
                    void a() {
                        switch (this) {
                            case OPEN: n++;
                            log();
                            break;
                            case CLOSED: n--;
                            log();
                            break;
                        }
                    }
                    void b() {
                        switch (this) {
                            case OPEN: n+=2;
                            log();
                            break;
                            case CLOSED: n-=2;
                            log();
                            break;
                        }
                    }
                    static void log() { System.out.println(n); }
                }
                """);
        java("lookups").hasNot("""
                package quay;
                class Gate {
                    enum State {
                        OPEN, CLOSED }
                    private State state;
                    String name() {
                        switch (state) {
                            case OPEN: return "open";
                            case CLOSED: return "closed";
                        }
                        return "";
                    }
                    int code() {
                        if (state == State.OPEN) return 1;
                        else if (state == State.CLOSED) return 2;
                        return 0;
                    }
                }
                """);
        python("string state").has("""
                class Gate:
                    def __init__(self):
                        self.state = "closed"
                        self.moves = 0
                    def raise_(self):
                        if self.state == "closed":  # <- state-switch
                            self.moves += 1
                            self.state = "moving"
                        elif self.state == "moving":
                            self.moves += 2
                            self.state = "open"
                    def lower(self):
                        if self.state == "open":
                            self.moves -= 1
                            self.state = "moving"
                        elif self.state == "moving":
                            self.moves += 1
                            self.state = "closed"
                """);
        python("enum").has("""
                from enum import Enum
                class State(Enum):
                    OPEN = 1
                    CLOSED = 2
                class Gate:
                    def __init__(self):
                        self._state = State.OPEN
                        self.n = 0
                    def a(self):
                        if self._state == State.OPEN:  # <- state-switch
                            self.n += 1
                            print("x")
                        elif self._state is State.CLOSED:
                            self.n -= 1
                    def b(self):
                        match self._state:
                            case State.OPEN:
                                self.n += 5
                                self._state = State.CLOSED
                            case State.CLOSED:
                                self.n -= 4
                                self._state = State.OPEN
                """);
        python("bool").hasNot("""
                class Gate:
                    def __init__(self):
                        self.open = True
                        self.n = 0
                    def a(self):
                        if self.open:
                            self.n += 1
                        else:
                            self.n -= 1
                    def b(self):
                        if self.open:
                            self.n += 3
                        else:
                            self.n -= 3
                """);
        java("stronger with transitions in switch arrow").has("""
                package quay;
                class Permit {
                    enum Stage {
                        DRAFT, FILED, GRANTED }
                    private Stage stage = Stage.DRAFT;
                    int log;
                    void file() {
                        switch (stage) { // <- state-switch
                            case DRAFT -> {
                                log++;
                                stage = Stage.FILED;
                            }
                            case FILED -> { log += 2; }
                            default -> throw new IllegalStateException("" + stage);
                        }
                    }
                    void grant() {
                        if (stage == Stage.FILED) {
                            log++;
                            stage = Stage.GRANTED;
                        } else if (stage == Stage.GRANTED) { log--; }
                    }
                }
                """);
        java("parameter not field").hasNot("""
                package quay;
                class Gate {
                    enum State {
                        OPEN, CLOSED }
                    int n;
                    void a(State s) {
                        if (s == State.OPEN) {
                            n++;
                            log();
                        } else if (s == State.CLOSED) {
                            n--;
                            log();
                        }
                    }
                    void b(State s) {
                        if (s == State.OPEN) {
                            n += 3;
                            log();
                        } else if (s == State.CLOSED) {
                            n -= 3;
                            log();
                        }
                    }
                    void log() { System.out.println(n); }
                }
                """);
        python("match with strings").has("""
                class Permit:
                    def __init__(self):
                        self.stage = "draft"
                        self.log = []
                    def file(self):
                        match self.stage:  # <- state-switch
                            case "draft":
                                self.log.append("filed")
                                self.stage = "filed"
                            case "filed":
                                self.log.append("again")
                    def grant(self):
                        if self.stage == "filed":
                            self.log.append("granted")
                            self.stage = "granted"
                        elif self.stage == "granted":
                            self.log.append("twice")
                """);
        python("lookups").hasNot("""
                class Gate:
                    def __init__(self): self.state = "open"
                    def name(self):
                        if self.state == "open": return "Open"
                        elif self.state == "closed": return "Closed"
                    def code(self):
                        if self.state == "open": return 1
                        elif self.state == "closed": return 2
                """);
    }
}
