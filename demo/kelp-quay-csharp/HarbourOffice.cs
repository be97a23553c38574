using System.Collections.Generic;
using System.IO;

namespace Quay;

/// <summary>What happened, on disk.</summary>
public class HarbourLog
{
    private readonly StreamWriter writer;

    public HarbourLog()
    {
        writer = new StreamWriter("harbour.log", append: true);
    }

    public void Note(Vessel vessel) => writer.WriteLine(vessel.Name);
}

public class Ledger
{
    public int Total { get; private set; }

    public void Book(Vessel vessel)
    {
        Total += vessel.Tonnage;
    }
}

public class SignalTower
{
    public string Shown { get; private set; } = "";

    public void Announce(Vessel vessel)
    {
        Shown = vessel.Name;
    }
}

public interface IPermit
{
    int Fee();
}

public record HeavyPermit(Vessel Vessel) : IPermit
{
    public int Fee() => 100 + Vessel.Tonnage / 4;
}

public record LightPermit(Vessel Vessel) : IPermit
{
    public int Fee() => 15;
}

/// <summary>Where all of it comes together.</summary>
public class HarbourOffice
{
    private readonly Ledger ledger;
    private readonly SignalTower tower;
    private readonly HarbourLog log = new HarbourLog();
    private readonly List<Vessel> moored = new();
    private readonly List<IPermit> permits = new();

    public HarbourOffice(Ledger ledger, SignalTower tower)
    {
        this.ledger = ledger;
        this.tower = tower;
    }

    public void Arrive(Vessel vessel)
    {
        moored.Add(vessel);
        ledger.Book(vessel);
        tower.Announce(vessel);
        log.Note(vessel);
    }

    public int Permit(Vessel vessel)
    {
        IPermit permit;
        if (vessel.Tonnage > 500)
        {
            permit = new HeavyPermit(vessel);
        }
        else
        {
            permit = new LightPermit(vessel);
        }
        permits.Add(permit);
        return permit.Fee();
    }

    public string Berth(Vessel vessel, int row, int place, bool tidal, bool tug, int nights)
    {
        return $"{vessel.Name}:{row}/{place} {(tidal ? "tidal " : "")}{(tug ? "tug " : "")}{nights}";
    }
}

public class NightWatch
{
    private readonly HarbourLog log = new();

    public void Round(Vessel vessel)
    {
        if (vessel.Kind != Kind.Yacht)
        {
            log.Note(vessel);
        }
    }
}
