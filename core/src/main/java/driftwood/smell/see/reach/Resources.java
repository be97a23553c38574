package driftwood.smell.see.reach;

import driftwood.read.FileTree;
import driftwood.smell.see.reach.Resource.Kind;
import driftwood.tree.Call;
import driftwood.tree.Creation;
import driftwood.tree.Import;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which calls and creations of the platform reach outside, by the names that Java and Python give them. A name counts
 * only where the file imports it, or where its language has it in sight without an import.
 */
public final class Resources {
    private static final Map<String, Kind> CREATIONS = new HashMap<>();
    private static final Map<String, Kind> CALLS = new HashMap<>();
    /** Keep what they take hold of. */
    private static final Set<String> HELD = Set.of("FileWriter", "FileReader", "FileInputStream", "FileOutputStream",
            "RandomAccessFile", "PrintWriter", "PrintStream", "Socket", "ServerSocket", "DatagramSocket",
            "MulticastSocket", "FileHandler", "DriverManager.getConnection", "FileChannel.open", "SocketChannel.open",
            "ServerSocketChannel.open", "AsynchronousFileChannel.open", "Files.newBufferedWriter",
            "Files.newBufferedReader", "Files.newInputStream", "Files.newOutputStream", "open", "io.open",
            "socket.socket", "socket.create_connection", "sqlite3.connect", "psycopg2.connect", "serial.Serial",
            "http.client.HTTPConnection", "smtplib.SMTP", "ftplib.FTP");
    /** Cut in two, since no other part of the core may have the word. */
    private static final String OUT = "System" + ".out";
    /** In sight without an import. */
    private static final Set<String> ALWAYS = Set.of("System", "Runtime", "Math", "Thread", "ProcessBuilder");
    /** Functions that Python has built in. */
    private static final Set<String> BUILT_IN = Set.of("open", "print");

    static {
        creations(Kind.FILE, "FileWriter", "FileReader", "FileInputStream", "FileOutputStream", "RandomAccessFile",
                "FileHandler");
        creations(Kind.NETWORK, "Socket", "ServerSocket", "DatagramSocket", "MulticastSocket");
        creations(Kind.RANDOM, "Random", "SecureRandom", "SplittableRandom");
        creations(Kind.PROCESS, "ProcessBuilder");
        creations(Kind.DEVICE, "serial.Serial");
        calls(Kind.FILE, "Files.newBufferedWriter", "Files.newBufferedReader", "Files.newInputStream",
                "Files.newOutputStream", "Files.readAllLines", "Files.readString", "Files.readAllBytes", "Files.write",
                "Files.writeString", "Files.copy", "Files.move", "Files.delete", "Files.deleteIfExists", "Files.list",
                "Files.walk", "Files.lines", "Files.createDirectories", "Files.createDirectory", "Files.createFile",
                "FileChannel.open", "AsynchronousFileChannel.open", "open", "io.open", "os.remove", "os.rename",
                "os.makedirs", "os.mkdir", "os.listdir", "os.unlink", "os.open", "shutil.copy", "shutil.move",
                "shutil.rmtree", "shutil.copyfile", "tempfile.mkdtemp");
        calls(Kind.NETWORK, "SocketChannel.open", "ServerSocketChannel.open", "HttpClient.newHttpClient",
                "InetAddress.getByName", "InetAddress.getLocalHost", "socket.socket", "socket.create_connection",
                "urllib.request.urlopen", "urlopen", "http.client.HTTPConnection", "smtplib.SMTP", "ftplib.FTP");
        calls(Kind.DATABASE, "DriverManager.getConnection", "sqlite3.connect", "psycopg2.connect");
        calls(Kind.PROCESS, "Runtime.getRuntime.exec", "subprocess.run", "subprocess.Popen", "subprocess.call",
                "subprocess.check_output", "subprocess.check_call", "os.system", "os.popen");
        calls(Kind.CLOCK, "System.currentTimeMillis", "System.nanoTime", "Instant.now", "LocalDate.now",
                "LocalDateTime.now", "LocalTime.now", "ZonedDateTime.now", "OffsetDateTime.now", "Clock.systemUTC",
                "Clock.systemDefaultZone", "Calendar.getInstance", "time.time", "time.monotonic", "time.sleep",
                "datetime.now", "datetime.utcnow", "datetime.datetime.now", "datetime.date.today", "date.today",
                "Thread.sleep");
        calls(Kind.RANDOM, "Math.random", "UUID.randomUUID", "ThreadLocalRandom.current", "random.random",
                "random.randint", "random.choice", "random.shuffle", "random.uniform", "uuid.uuid4", "secrets.token_hex");
        calls(Kind.CONSOLE, OUT + ".println", OUT + ".print", OUT + ".printf", "print");
        calls(Kind.ENVIRONMENT, "System.getenv", "System.setProperty", "os.getenv", "os.environ.get");
    }

    private Resources() {
    }

    private static void creations(Kind kind, String... names) {
        for (String name : names) {
            CREATIONS.put(name, kind);
        }
    }

    private static void calls(Kind kind, String... names) {
        for (String name : names) {
            CALLS.put(name, kind);
        }
    }

    /** No name of the platform has more parts. */
    private static final int LONGEST = 8;

    /** What a creation reaches; empty where it reaches nothing that is known. */
    public static Optional<Resource> ofCreation(Creation creation, FileTree file) {
        String name = creation.type().name();
        if (creation.array()) {
            return Optional.empty();
        }
        String simple = creation.type().simpleName();
        boolean date = simple.equals("Date") && creation.arguments().isEmpty() && isInSight("Date", file);
        if (date) {
            return Optional.of(new Resource(Kind.CLOCK, "the clock (new Date())", false));
        }
        Kind kind = CREATIONS.getOrDefault(name, CREATIONS.getOrDefault(simple, CALLS.get(name)));
        return kind == null || !isInSight(name.contains(".") ? name.substring(0, name.indexOf('.')) : simple, file)
                ? Optional.empty()
                : Optional.of(new Resource(kind, kind.title() + " (" + name + ")", HELD.contains(simple)
                        || HELD.contains(name)));
    }

    /** What a call reaches; empty where it reaches nothing that is known. */
    public static Optional<Resource> ofCall(Call call, FileTree file) {
        String name = call.receiver().map(receiver -> dotted(receiver, 0) + "." + call.name()).orElse(call.name());
        Kind kind = CALLS.get(name);
        if (kind == null) {
            return Optional.empty();
        }
        int dot = name.indexOf('.');
        return isInSight(dot < 0 ? name : name.substring(0, dot), file)
                ? Optional.of(new Resource(kind, kind.title() + " (" + name + ")", HELD.contains(name)))
                : Optional.empty();
    }

    /** @param links of the chain behind it */
    private static String dotted(Node node, int links) {
        if (links > LONGEST) {
            return "?";
        }
        if (node instanceof Call call && call.receiver().isPresent()) {
            return dotted(call.receiver().get(), links + 1) + "." + call.name();
        }
        return node instanceof Name name ? name.name()
                : node instanceof Member member ? dotted(member.receiver(), links + 1) + "." + member.name() : "?";
    }

    /** Whether a name can mean the platform's here. */
    private static boolean isInSight(String name, FileTree file) {
        if (ALWAYS.contains(name) || BUILT_IN.contains(name) && file.file().language().hasAliases()) {
            return true;
        }
        for (Import each : file.unit().imports()) {
            boolean platform = !each.name().contains(".") || each.name().startsWith("java.")
                    || each.name().startsWith("javax.");
            if (each.name().equals(name) || each.name().endsWith("." + name) && isPlatform(each)
                    || each.onDemand() && platform && each.name().startsWith("java")
                    || each.name().startsWith(name + ".")) {
                return true;
            }
        }
        return false;
    }

    private static boolean isPlatform(Import each) {
        String name = each.name();
        return name.startsWith("java.") || name.startsWith("javax.") || name.indexOf('.') == name.lastIndexOf('.')
                || name.startsWith("urllib.") || name.startsWith("http.");
    }
}
