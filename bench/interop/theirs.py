"""What other people's libraries read of our files, as theirs.json; and files of their own for us to read."""
import csv
import datetime
import json
import subprocess
import sys
from pathlib import Path

import icalendar
import openpyxl
import pytz

where = Path(sys.argv[1])
found = {}

calendar = icalendar.Calendar.from_ical((where / "ours.ics").read_bytes())
found["ics"] = [
    [str(e["uid"]), e["dtstart"].dt.astimezone(pytz.utc).isoformat(), e["dtend"].dt.astimezone(pytz.utc).isoformat(),
     str(e["summary"])]
    for e in calendar.walk("VEVENT")
]

sheet = openpyxl.load_workbook(where / "ours.xlsx").worksheets[0]
found["xlsx"] = [[c.isoformat()[:10] if isinstance(c, datetime.date) else c for c in row] for row in sheet.values]
found["xlsx_formulas"] = sum(c.data_type == "f" for row in sheet.iter_rows() for c in row)

with open(where / "ours.csv", encoding="utf-8-sig", newline="") as file:
    found["csv"] = list(csv.reader(file))


def run(*words):
    done = subprocess.run(words, capture_output=True, check=False, encoding="utf-8", errors="replace")
    return done.returncode, done.stdout + done.stderr


found["mid"] = run("midicsv", str(where / "ours.mid"))[1].splitlines()
found["wav"] = {name: run("soxi", flag, str(where / "ours.wav"))[1].strip()
                for name, flag in (("rate", "-r"), ("channels", "-c"), ("bits", "-b"), ("seconds", "-D"))}
found["pdf_text"] = run("pdftotext", "-layout", str(where / "ours.pdf"), "-")[1]
found["pdf_check"] = run("qpdf", "--check", str(where / "ours.pdf"))[0]
found["pdf_fonts"] = run("pdffonts", str(where / "ours.pdf"))[1].splitlines()[2:]

# Their own files.
london = pytz.timezone("Europe/London")
theirs = icalendar.Calendar()
theirs.add("prodid", "-//other//EN")
theirs.add("version", "2.0")
for uid, start, minutes, summary, rule in (
    ("1", london.localize(datetime.datetime(2027, 2, 2, 18, 0)), 90, "Choir, Зима", {"freq": "weekly", "count": 3}),
    ("2", datetime.date(2027, 3, 1), None, "Holiday", None),
):
    event = icalendar.Event()
    event.add("uid", uid)
    event.add("summary", summary)
    event.add("dtstamp", datetime.datetime(2027, 1, 1, tzinfo=pytz.utc))
    event.add("dtstart", start)
    if minutes:
        event.add("dtend", start + datetime.timedelta(minutes=minutes))
    if rule:
        event.add("rrule", rule)
    theirs.add_component(event)
(where / "theirs.ics").write_bytes(theirs.to_ical())

book = openpyxl.Workbook()
page = book.active
page.title = "Class"
for row in (("First name", "Surname", "Group"), ("Zoë", "Łęcka", "Scouts; Solo"), ("Νίκη", "Αδάμ", "Nurses"),
            ("=Bram", "Oak", None), (None, None, "Scouts")):
    page.append(row)
page["A4"].data_type = "s"
book.save(where / "theirs.xlsx")

lines = ["0, 0, Header, 1, 1, 96", "1, 0, Start_track", '1, 0, Tempo, 500000', '1, 0, Marker_t, "Intro"',
         "1, 3072, Tempo, 600000", '1, 3072, Marker_t, "Chorus"', "1, 3072, Note_on_c, 0, 60, 64",
         "1, 6144, End_track", "0, 0, End_of_file"]
(where / "theirs.csv").write_text("\n".join(lines) + "\n", encoding="utf-8")
run("csvmidi", str(where / "theirs.csv"), str(where / "theirs.mid"))

(where / "theirs.json").write_text(json.dumps(found), encoding="utf-8")
