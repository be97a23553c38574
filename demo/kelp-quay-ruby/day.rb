# frozen_string_literal: true

# One day at Kelp Quay, told line by line: ruby day.rb [NIGHTS]
require_relative "lib/quay/dues"
require_relative "lib/quay/gate"
require_relative "lib/quay/pilots"

nights = (ARGV[0] || 3).to_i
roster = Quay::PilotRoster.new
roster.report(Quay::Pilot.new("Mira", 300))
roster.report(Quay::Pilot.new("Odd", 2000))
desk = Quay::ArrivalDesk.new(roster)
dues = Quay::HarbourDues.new
gate = Quay::LockGate.new
vessels = [Quay::Vessel.new("Patience", :tug, tonnage: 150), Quay::Vessel.new("Grey Heron", :tanker, tonnage: 1800, hazardous: true),
           Quay::Vessel.new("Nonsuch", :yacht, tonnage: 12), Quay::Vessel.new("Leviathan", :tanker, tonnage: 9000)]
vessels.each do |vessel|
  gate.push
  puts "#{vessel.name}: dues #{dues.quote(vessel, nights)}, pilot #{desk.admit(vessel)}, bill #{desk.bill(vessel)}, " \
       "toll #{gate.toll(vessel.tonnage)}"
end
