require("./group.cjs")(2);
