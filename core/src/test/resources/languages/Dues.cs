namespace Quay
{
    public enum Kind { Tug, Tanker, Yacht }
    public class Vessel { public Kind Kind; public int Length; public int Tonnage; }
    public class HarbourDues
    {
        private readonly PilotRoster roster = new PilotRoster();
        private int quoted;
        public int Quote(Vessel vessel)
        {
            switch (vessel.Kind)
            {
                case Kind.Tug: quoted++; return vessel.Length * 2;
                case Kind.Tanker: quoted += 2; return vessel.Tonnage * 3 + vessel.Length;
                default: return 10;
            }
        }
        public int Guide(string name)
        {
            var pilot = roster.Find(name);
            if (pilot == null) { return 0; }
            return pilot.Fee(3);
        }
        public string Call(string name) { var p = roster.Find(name); return p == null ? "none" : p.Name(); }
        public void Tell(string name) { var p = roster.Find(name); if (p != null) { quoted += p.Fee(1); } }
    }
    public class Pilot { int fee; public int Fee(int n) { return fee * n; } public string Name() { return "x"; } }
    public class PilotRoster
    {
        private readonly System.Collections.Generic.List<Pilot> pilots = new();
        public PilotRoster() { System.IO.File.ReadAllText("pilots.txt"); }
        public Pilot Find(string name)
        {
            foreach (var each in pilots) { if (each.Name() == name) { return each; } }
            return null;
        }
    }
}
