using System.Collections.Generic;

namespace Quay;

/// <summary>The kinds of vessels that call at Kelp Quay.</summary>
public enum Kind { Tug, Tanker, Yacht }

/// <summary>A vessel, as the office knows it.</summary>
public record Vessel(string Name, Kind Kind, int Tonnage = 0, bool Hazardous = false);

/// <summary>Something in a hold.</summary>
public abstract class Cargo
{
    public int Weight { get; init; }
}

public class Sack : Cargo
{
}

/// <summary>Holds other cargo.</summary>
public class Crate : Cargo
{
    public List<Cargo> Contents { get; } = new();
}

public static class Scales
{
    public static int Weigh(IEnumerable<Cargo> hold)
    {
        var total = 0;
        foreach (var cargo in hold)
        {
            if (cargo is Crate crate)
            {
                total += Weigh(crate.Contents);
            }
            else
            {
                total += cargo.Weight;
            }
        }
        return total;
    }
}
